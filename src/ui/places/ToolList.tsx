'use client';
import { definitionOf, type AreaKind, type FeatureKind } from '@/document';
import { AREA_VIEWS } from './areas';
import { FEATURE_VIEWS, viewOfFeature } from './features';
import { kindWords } from './finish';
import { usePlace, type SolidKind, type SpotKind, type Tool } from './store';

const offered = (shape: 'outline' | 'point') =>
  (Object.keys(FEATURE_VIEWS) as FeatureKind[]).filter(
    (kind) => viewOfFeature(kind).offered && definitionOf(kind).shape === shape,
  );
const OUTLINES = offered('outline') as Exclude<SolidKind, 'boat'>[];
const SPOTS = offered('point') as SpotKind[];

const TOOLS: readonly { readonly name: string; readonly tool: Tool }[] = [
  { name: 'choose and move', tool: { is: 'choose' } },
  ...OUTLINES.map((kind) => ({ name: kind, tool: { is: 'outline', kind } as const })),
  { name: 'row of fingers', tool: { is: 'row' } },
  { name: 'moored boat', tool: { is: 'boat', length: 10, beam: 3.3, heading: 0 } },
  ...SPOTS.map((kind) => ({ name: kindWords(kind), tool: { is: 'spot', kind } as const })),
  { name: 'berth', tool: { is: 'berth' } },
  ...(Object.keys(AREA_VIEWS) as AreaKind[]).map((kind) => ({
    name: kindWords(kind),
    tool: { is: 'area', kind } as const,
  })),
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
