import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="mx-auto max-w-2xl p-10">
      <h1 className="text-[22px] font-bold">Nothing is kept under this address</h1>
      <p className="py-3">It may have been removed, or the address may be mistyped.</p>
      <Link href="/" className="text-plan underline underline-offset-3">
        All manoeuvres
      </Link>
    </main>
  );
}
