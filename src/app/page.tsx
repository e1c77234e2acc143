import { library, listManoeuvres } from '@/db';
import { Start } from '@/ui/start/Start';

export const dynamic = 'force-dynamic';

export default function StartPage() {
  return <Start manoeuvres={listManoeuvres(library())} />;
}
