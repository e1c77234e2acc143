import { Minus } from 'lucide-react';
import type { LockWorking } from '@/document';
import { Choice } from '../parts/Choice';
import { IconButton } from '../parts/IconButton';
import { NumberBox } from '../parts/NumberBox';

type Paddle = LockWorking['paddles'][number];

const ENDS = [
  { value: 'upper', text: 'upper' },
  { value: 'lower', text: 'lower' },
] as const;
const WHERE = [
  { value: 'ground', text: 'ground' },
  { value: 'gate', text: 'gate' },
] as const;
const SIDES = [
  { value: 'left', text: 'left' },
  { value: 'right', text: 'right' },
] as const;
const MOST = 12;

/** Paddles of a lock: where each is, looking up-stream, how large, and how long it takes to wind. */
export function PaddleFields({
  working,
  set,
}: {
  working: LockWorking;
  set: (part: Partial<LockWorking>) => void;
}) {
  const { paddles } = working;
  const add = () => {
    let n = paddles.length + 1;
    while (paddles.some(({ name }) => name === `paddle ${n}`)) n += 1;
    set({ paddles: [...paddles, { ...paddles.at(-1)!, name: `paddle ${n}` }] });
  };
  return (
    <>
      {paddles.map((paddle, i) => {
        const put = (part: Partial<Paddle>) =>
          set({ paddles: paddles.map((one, k) => (k === i ? { ...one, ...part } : one)) });
        const last = paddles.filter(({ end }) => end === paddle.end).length === 1;
        return (
          <div key={paddle.name} className="rule-t flex flex-wrap items-baseline gap-x-2 py-1">
            <span className="w-full truncate">{paddle.name}</span>
            <Choice
              label={`${paddle.name}, end`}
              value={paddle.end}
              options={ENDS}
              onChange={(end) => put({ end })}
            />
            <Choice
              label={`${paddle.name}, ground or gate`}
              value={paddle.where}
              options={WHERE}
              onChange={(where) => put({ where })}
            />
            <Choice
              label={`${paddle.name}, side`}
              value={paddle.side}
              options={SIDES}
              onChange={(side) => put({ side })}
            />
            <NumberBox
              label=""
              name={`${paddle.name}, area`}
              value={paddle.area_m2}
              unit="m²"
              least={0.01}
              most={10}
              onChange={(area_m2) => put({ area_m2 })}
            />
            <NumberBox
              label=""
              name={`${paddle.name}, seconds to wind`}
              value={paddle.winding_s}
              unit="s"
              least={1}
              most={600}
              digits={0}
              onChange={(winding_s) => put({ winding_s })}
            />
            {!last && (
              <IconButton
                label={`Remove ${paddle.name}`}
                onClick={() => set({ paddles: paddles.filter((one) => one !== paddle) })}
              >
                <Minus size={15} />
              </IconButton>
            )}
          </div>
        );
      })}
      {paddles.length < MOST && (
        <p>
          <button type="button" className="text-plan underline" onClick={add}>
            Add a paddle
          </button>
        </p>
      )}
    </>
  );
}
