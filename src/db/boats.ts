import { boatSchema, type Boat } from '@/document';
import { Kept, type ListedDocument, type OpenedDocument } from './kept';
import { boats } from './schema';

export type OpenedBoat = OpenedDocument<Boat>;
export type ListedBoat = ListedDocument<Boat>;

export const keptBoats = new Kept<Boat>(boats, boatSchema, 'boat');
