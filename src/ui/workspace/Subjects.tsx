'use client';
import { Cable, ListOrdered, Ship, Wind } from 'lucide-react';
import { Tabs } from 'radix-ui';
import type { ReactNode } from 'react';
import { useWorkspace } from '../state/context';
import { SUBJECTS, type Subject } from '../state/subjects';

const LOOKS: Readonly<Record<Subject, { readonly words: string; readonly Icon: typeof Wind }>> = {
  plan: { words: 'Plan', Icon: ListOrdered },
  lines: { words: 'Lines & crew', Icon: Cable },
  conditions: { words: 'Conditions', Icon: Wind },
  others: { words: 'Other boats', Icon: Ship },
};

/** What belongs to a manoeuvre, one subject at a time. */
export function Subjects({ children }: { children: Readonly<Record<Subject, ReactNode>> }) {
  const subject = useWorkspace((s) => s.subject);
  const setSubject = useWorkspace((s) => s.setSubject);
  return (
    <Tabs.Root value={subject} onValueChange={(value) => setSubject(value as Subject)}>
      <Tabs.List
        aria-label="About the manoeuvre"
        className="rule-b -mx-5 -mt-3 mb-3 flex justify-between bg-paper px-4"
      >
        {SUBJECTS.map((one) => {
          const { words, Icon } = LOOKS[one];
          return (
            <Tabs.Trigger
              key={one}
              value={one}
              className="flex min-h-11 flex-col items-center gap-0.5 border-b-2 border-transparent px-1 pb-1 pt-1.5 text-[12.5px] text-quiet hover:text-ink data-[state=active]:border-plan data-[state=active]:font-semibold data-[state=active]:text-ink"
            >
              <Icon size={16} aria-hidden />
              {words}
            </Tabs.Trigger>
          );
        })}
      </Tabs.List>
      {SUBJECTS.map((one) => (
        <Tabs.Content key={one} value={one} className="focus-visible:outline-none">
          {children[one]}
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}
