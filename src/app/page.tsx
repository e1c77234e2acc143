import { shareOf } from '@/core/reliability';
import { library, listManoeuvres } from '@/db';
import { Start } from '@/ui/start/Start';

export const dynamic = 'force-dynamic';

export default function StartPage() {
  const manoeuvres = listManoeuvres(library()).map(({ last, ...entry }) => {
    const tried = last?.held !== null && last?.of;
    return {
      ...entry,
      last: last && {
        outcome: last.outcome,
        share: tried ? shareOf(last.held!, last.of!) : null,
        older: last.older,
      },
    };
  });
  return <Start manoeuvres={manoeuvres} />;
}
