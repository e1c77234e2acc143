'use client';
import { Slider } from 'radix-ui';

/** One thing that can be otherwise: its name, how it stands, and a slider with its own middle. */
export function VaryRow({
  name,
  text,
  value,
  least,
  most,
  step,
  neutral,
  onChange,
}: {
  name: string;
  /** How it stands, in words and units. */
  text: string;
  value: number;
  least: number;
  most: number;
  step: number;
  /** Where nothing is changed. */
  neutral: number;
  onChange: (value: number) => void;
}) {
  const changed = value !== neutral;
  const at = ((neutral - least) / (most - least)) * 100;
  return (
    <div className="rule-t py-2">
      <p className="flex justify-between gap-2">
        <span className={changed ? 'font-semibold' : ''}>{name}</span>
        <span className={`figures ${changed ? 'font-semibold text-plan' : 'text-quiet'}`}>
          {text}
        </span>
      </p>
      <Slider.Root
        className="relative flex h-6 touch-none select-none items-center"
        value={[value]}
        min={least}
        max={most}
        step={step}
        onValueChange={([next]) => onChange(next ?? neutral)}
        onDoubleClick={() => onChange(neutral)}
      >
        <Slider.Track className="relative h-px grow bg-quiet">
          <span className="absolute -top-1 h-2 w-px bg-quiet" style={{ left: `${at}%` }} />
        </Slider.Track>
        <Slider.Thumb
          aria-label={`What if: ${name}`}
          aria-valuetext={text}
          className="block size-4 rounded-full border-2 border-ink bg-paper hover:border-plan"
        />
      </Slider.Root>
    </div>
  );
}
