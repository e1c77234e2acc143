import { placeSchema, type Place } from '@/document';
import {
  DocumentRepository,
  type ListedDocument,
  type OpenedDocument,
} from './document-repository';
import { places } from './schema';

export type OpenedPlace = OpenedDocument<Place>;
export type ListedPlace = ListedDocument<Place>;

export const keptPlaces = new DocumentRepository<Place>(places, placeSchema, 'place');
