'use client';
import { AREA_KINDS } from './edit';
import { kindWords } from './finish';
import { usePlace, type Tool } from './store';

const OUTLINES = ['quay', 'bank', 'pontoon', 'building', 'gate'] as const;
const SPOTS = ['pile', 'bollard', 'buoy', 'ladder', 'mark', 'groundLine', 'sounding'] as const;

const TOOLS: readonly { readonly name: string; readonly tool: Tool }[] = [
  { name: 'choose and move', tool: { is: 'choose' } },
  ...OUTLINES.map((kind) => ({ name: kind, tool: { is: 'outline', kind } as const })),
  { name: 'row of fingers', tool: { is: 'row' } },
  { name: 'moored boat', tool: { is: 'boat', length: 10, beam: 3.3, heading: 0 } },
  ...SPOTS.map((kind) => ({ name: kindWords(kind), tool: { is: 'spot', kind } as const })),
  { name: 'berth', tool: { is: 'berth' } },
  ...AREA_KINDS.map((kind) => ({ name: kindWords(kind), tool: { is: 'area', kind } as const })),
  { name: 'transit', tool: { is: 'transit' } },
  { name: 'measure', tool: { is: 'measure' } },
];

const kindOf = (tool: Tool) => ('kind' in tool ? `${tool.is} ${tool.kind}` : tool.is);

/** What can be drawn. */
export function ToolList({ choose }: { choose: (tool: Tool) => void }) {
  const now = usePlace((s) => kindOf(s.tool));
  return (
    <div role="radiogroup" aria-label="What a press does" className="grid grid-cols-2 gap-x-3">
      {TOOLS.map(({ name, tool }) => {
        const on = kindOf(tool) === now;
        return (
          <label
            key={name}
            className={`flex min-h-8 cursor-pointer items-center gap-2 ${on ? 'font-semibold text-plan' : 'hover:text-plan'}`}
          >
            <input
              type="radio"
              name="tool"
              className="min-h-0"
              checked={on}
              onChange={() => choose(tool)}
            />
            {name}
          </label>
        );
      })}
    </div>
  );
}
