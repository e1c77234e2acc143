import { placeSchema, type Place } from '@/document';
import { Kept, type ListedDocument, type OpenedDocument } from './kept';
import { places } from './schema';

export type OpenedPlace = OpenedDocument<Place>;
export type ListedPlace = ListedDocument<Place>;

export const keptPlaces = new Kept<Place>(places, placeSchema, 'place');
