'use client';
import { X } from 'lucide-react';
import type { Finding } from '@/core/checks';
import { IconButton } from '../parts/IconButton';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { checkWords } from '../words/checks';
import { clock } from '../words/units';

/** What is worth a second look in the plan, each explained, each to be set aside. */
export function Checks({ findings, named }: { findings: readonly Finding[]; named: boolean }) {
  const steps = useWorkspace((s) => s.manoeuvre.plan.steps);
  const dismissed = useWorkspace((s) => s.manoeuvre.dismissed);
  const edit = useWorkspace((s) => s.edit);
  const seek = usePlayhead((p) => p.seek);
  const units = useUnits();
  const keyOf = ({ rule, step, which }: Finding) =>
    [rule, steps[step]?.id ?? step, ...(which ? [which] : [])].join('/');
  const open = findings.filter((finding) => !dismissed.includes(keyOf(finding)));
  const aside = findings.length - open.length;
  if (findings.length === 0) return null;
  return (
    <section aria-label="Worth a second look" className="pb-3" data-testid="checks">
      <h2 className="text-[15px] font-semibold">Worth a second look</h2>
      <ul>
        {open.map((finding) => {
          const { text, why } = checkWords(finding, units);
          return (
            <li key={keyOf(finding)} className="rule-b flex items-start gap-2 py-1.5">
              <div className="min-w-0 flex-1">
                <button
                  type="button"
                  title={`Show ${clock(finding.time)}`}
                  className="text-left hover:text-plan"
                  onClick={() => seek(finding.time)}
                >
                  {named && (
                    <span className="figures font-semibold text-plan">{finding.step + 1} </span>
                  )}
                  {text}
                </button>
                <p className="text-[12.5px] text-quiet">{why}</p>
              </div>
              <IconButton
                label={`Set aside: ${text}`}
                onClick={() =>
                  edit((m) => {
                    m.dismissed = [...m.dismissed, keyOf(finding)].slice(-200);
                  })
                }
              >
                <X size={14} />
              </IconButton>
            </li>
          );
        })}
      </ul>
      {aside > 0 && (
        <button
          type="button"
          className="pt-1 text-[12.5px] text-plan underline"
          onClick={() =>
            edit((m) => {
              const here = findings.map(keyOf);
              m.dismissed = m.dismissed.filter((key) => !here.includes(key));
            })
          }
        >
          {aside} set aside; show {aside === 1 ? 'it' : 'them'} again
        </button>
      )}
    </section>
  );
}
