import type { ManoeuvreFile } from '@/document/manoeuvre';
import { isRefused, type Refusal } from '../refusals';
import type { Proposal } from '../suggest';
import { propose, subjectOf, techniquesFor, templatesOf } from '../suggestions';
import type { TechniqueId } from '../techniques';
import type { PlanTemplate } from '../template';

// What tests ask of the techniques; a manoeuvre that cannot be played fails them.

/** Why a technique is not for a manoeuvre; null where it is. */
export function refusalOf(file: ManoeuvreFile, technique: TechniqueId): Refusal | null {
  const offered = techniquesFor(subjectOf(file));
  if (!offered.ok) throw new Error(JSON.stringify(offered.problems));
  return offered.value.find(({ id }) => id === technique)!.unfit;
}

/** Its templates for one it is for. */
export function templatesFor(file: ManoeuvreFile, technique: TechniqueId): readonly PlanTemplate[] {
  const templates = templatesOf(file, technique);
  if (!templates.ok) throw new Error(JSON.stringify(templates.problems));
  if (isRefused(templates.value)) throw new Error(JSON.stringify(templates.value.refused));
  return templates.value;
}

/** It fitted, as it is told from the first tries to the proposal. */
export function* proposals(file: ManoeuvreFile, technique: TechniqueId): Generator<Proposal> {
  for (const told of propose(file, technique)) {
    if (!told.ok) throw new Error(JSON.stringify(told.problems));
    if (isRefused(told.value)) throw new Error(JSON.stringify(told.value.refused));
    yield told.value;
  }
}

/** The same when it is through. */
export const proposed = (file: ManoeuvreFile, technique: TechniqueId): Proposal =>
  [...proposals(file, technique)].at(-1)!;
