import { dataDirectory } from '@/db';
import { missing, route } from '../../../define';
import { ARCHIVE_TYPE, handOver, passed } from '../../../passing';

export const dynamic = 'force-dynamic';

export const GET = route(
  {
    says: 'An archive that was written; it is there for an hour.',
    answers: { 200: ARCHIVE_TYPE },
  },
  ({ id }) => {
    const file = passed(dataDirectory(), id);
    return file ? handOver(file, { once: false }) : missing(id, 'archive (any more)');
  },
);
