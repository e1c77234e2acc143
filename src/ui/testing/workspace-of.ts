import type { ManoeuvreFile } from '@/document';
import { createWorkspace } from '../state/workspace';

/** A workspace with a manoeuvre open in it. */
export const workspaceOf = ({ boat, place, ...rest }: ManoeuvreFile) =>
  createWorkspace({ manoeuvre: { ...rest, boatId: boat.id, placeId: place.id }, boat, place });
