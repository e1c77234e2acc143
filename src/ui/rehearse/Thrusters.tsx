'use client';
import { useLive, useLiveState } from './use-live';

const PERCENT = 100;

/** One thruster: pressed to one side or the other as long as it is to push, with its heat. */
function Thruster({ index }: { index: number }) {
  const live = useLive();
  const spec = live.file.boat.thrusters[index]!;
  const wanted = useLiveState((s) => s.helm?.thrusters[index] ?? 0);
  const now = useLiveState((s) => s.now?.thrusters[index]);
  const push = (power: number) =>
    live.move((helm) => ({
      ...helm,
      thrusters: helm.thrusters.map((was, i) => (i === index ? power : was)),
    }));
  const side = (power: -1 | 1) => {
    const word = power < 0 ? 'port' : 'stbd';
    return (
      <button
        type="button"
        aria-label={`${spec.name} pushes to ${word}, while pressed`}
        aria-pressed={wanted === power}
        className={`h-11 min-w-[66px] touch-none border-2 px-1 text-[13px] ${
          wanted === power ? 'border-plan bg-plan text-on-plan' : 'border-ink'
        }`}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          push(power);
        }}
        onPointerUp={() => push(0)}
        onPointerCancel={() => push(0)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && !event.repeat) push(power);
        }}
        onKeyUp={(event) => {
          if (event.key === 'Enter') push(0);
        }}
        onBlur={() => push(0)}
      >
        {power < 0 ? '← port' : 'stbd →'}
      </button>
    );
  };
  const heat = Math.round(PERCENT * (now?.heat ?? 0));
  return (
    <div>
      <p className="text-[13px] font-semibold">{spec.name}</p>
      <div className="flex gap-1">
        {side(-1)}
        {side(1)}
      </div>
      <p
        className={`figures text-[12.5px] ${now?.cut || heat > 70 ? 'font-semibold text-hurt' : 'text-quiet'}`}
      >
        {now?.cut ? 'cut out: too hot' : `${heat} % hot`}
      </p>
    </div>
  );
}

export function Thrusters() {
  const { thrusters } = useLive().file.boat;
  if (thrusters.length === 0) return null;
  return (
    <div className="flex flex-col gap-2">
      {thrusters.map((thruster, i) => (
        <Thruster key={thruster.name} index={i} />
      ))}
    </div>
  );
}
