'use client';

/** Shown when a page fails: what is kept stays kept. */
export default function PageError({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <main className="mx-auto max-w-2xl p-10">
      <h1 className="text-[22px] font-bold">This page stopped</h1>
      <p className="py-3">
        What was saved is safe. The reason given: <span className="figures">{error.message}</span>
      </p>
      <button
        type="button"
        onClick={reset}
        className="min-h-10 border border-ink px-4 font-semibold"
      >
        Try again
      </button>
    </main>
  );
}
