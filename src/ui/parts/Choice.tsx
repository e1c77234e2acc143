'use client';
import { Check, ChevronDown } from 'lucide-react';
import { Select } from 'radix-ui';

export interface ChoiceOption<T extends string> {
  readonly value: T;
  readonly text: string;
}

/** One of a short list. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly ChoiceOption<T>[];
  onChange: (value: T) => void;
}) {
  return (
    <Select.Root value={value} onValueChange={(v) => onChange(v as T)}>
      <Select.Trigger
        aria-label={label}
        className="inline-flex min-h-[26px] max-w-full items-center gap-1 border-b border-quiet px-[1px] text-left"
      >
        <span className="truncate">
          <Select.Value placeholder="choose" />
        </span>
        <Select.Icon>
          <ChevronDown size={13} className="text-quiet" />
        </Select.Icon>
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={2}
          className="z-50 max-h-72 max-w-[calc(100vw-1.25rem)] border border-ink bg-paper text-ink"
        >
          <Select.Viewport>
            {options.map(({ value: v, text }) => (
              <Select.Item
                key={v}
                value={v}
                className="flex min-h-8 cursor-pointer items-center justify-between gap-4 px-3 outline-none data-[highlighted]:bg-plan data-[highlighted]:text-on-plan"
              >
                <Select.ItemText>{text}</Select.ItemText>
                <Select.ItemIndicator>
                  <Check size={14} />
                </Select.ItemIndicator>
              </Select.Item>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  );
}
