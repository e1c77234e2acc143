import type { Boat } from './boat';
import type { Manoeuvre } from './manoeuvre';
import type { OrderDocument } from './plan';
import { withParameters } from './plan-codec';

/**
 * The manoeuvre sailed in another boat. Orders to an engine or thruster go to the one that stands in its place there; what
 * the new boat has not got keeps its name, so that playing it says what is missing and where.
 */
export function withBoat(manoeuvre: Manoeuvre, from: Boat, to: Boat): Manoeuvre {
  const standIn = (have: readonly { name: string }[], want: readonly { name: string }[]) => {
    const others = new Map(have.map(({ name }, i) => [name, want[i]?.name ?? name]));
    const known = new Set(want.map(({ name }) => name));
    return (name: string) => (known.has(name) ? name : (others.get(name) ?? name));
  };
  const engine = standIn(from.drives, to.drives);
  const thruster = standIn(from.thrusters, to.thrusters);
  const order = (o: OrderDocument): OrderDocument =>
    withParameters(o, ({ kind }, value) =>
      kind === 'engine' ? engine(value) : kind === 'thruster' ? thruster(value) : undefined,
    );
  const { plan } = manoeuvre;
  return {
    ...manoeuvre,
    boatId: to.id,
    plan: {
      ...plan,
      steps: plan.steps.map((step) => ({
        ...step,
        orders: step.orders.map(order),
        wayOut: { ...step.wayOut, orders: step.wayOut.orders.map(order) },
      })),
    },
  };
}
