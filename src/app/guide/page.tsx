import { redirect } from 'next/navigation';

export default function GuideStart() {
  redirect('/guide/first-steps');
}
