import { boatSchema, type Boat } from '@/document';
import {
  DocumentRepository,
  type ListedDocument,
  type OpenedDocument,
} from './document-repository';
import { boats } from './schema';

export type OpenedBoat = OpenedDocument<Boat>;
export type ListedBoat = ListedDocument<Boat>;

export const keptBoats = new DocumentRepository<Boat>(boats, boatSchema, 'boat');
