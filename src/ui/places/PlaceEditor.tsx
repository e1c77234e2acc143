'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { check, fingerRow, placeSchema, type FingerRow, type Place } from '@/document';
import type { GpxLayer } from '@/io/gpx';
import { saveDocument } from '../parts/save-document';
import { useAutosave, type SaveState } from '../hooks/use-autosave';
import { useTheme } from '../hooks/use-theme';
import { LeftEdits } from '../parts/LeftEdits';
import { Saved } from '../parts/Saved';
import { ThemeButton, UnitButtons } from '../parts/Settings';
import { UndoButtons } from '../parts/UndoButtons';
import { PLACE_WIRE } from '../state/wire';
import { without } from './edit';
import { finish, pointsFor } from './finish';
import { PicturePanel } from './PicturePanel';
import { PlaceFields } from './PlaceFields';
import { PlacePlan } from './PlacePlan';
import { RowPanel } from './RowPanel';
import type { XY } from './snap';
import {
  createPlaceStore,
  PlaceProvider,
  usePlace,
  usePlaceStore,
  type FleetOutline,
  type Tool,
} from './store';
import { ThingPanel } from './ThingPanel';
import { TidePanel } from './TidePanel';
import { ToolList } from './ToolList';
import { ToolPanel } from './ToolPanel';
import { TracePanel } from './TracePanel';
import type { Picture } from './Underlay';

export interface OpenedPlace {
  readonly document: Place;
  readonly revision: number;
  readonly updatedAt: number;
  readonly uses: number;
}

const FIRST_ROW: FingerRow = {
  name: 'north',
  from_m: [0, 0],
  bearing_deg: 90,
  side: 'port',
  fingers: 6,
  pitch_m: 9.5,
  length_m: 10,
  width_m: 0.8,
  lean_deg: 0,
  walkwayWidth_m: 2.4,
  boats: 2,
  occupied: [],
  boatLength_m: 9.5,
  boatBeam_m: 3.2,
};

const isOutline = (tool: Tool) => tool.is === 'outline' || tool.is === 'area';

/** A place drawn: its edges, what stands and lies about, and where a boat can be made fast. */
export function PlaceEditor({
  opened,
  fleet,
}: {
  opened: OpenedPlace;
  fleet: readonly FleetOutline[];
}) {
  const [store] = useState(() => createPlaceStore(opened.document));
  return (
    <PlaceProvider value={store}>
      <Editor opened={opened} fleet={fleet} />
    </PlaceProvider>
  );
}

function Editor({ opened, fleet }: { opened: OpenedPlace; fleet: readonly FleetOutline[] }) {
  useTheme();
  const store = usePlaceStore();
  const place = usePlace((s) => s.place);
  const tool = usePlace((s) => s.tool);
  const points = usePlace((s) => s.points);
  const save = useAutosave(place, opened, PLACE_WIRE);
  const [refused, setRefused] = useState<string | null>(null);
  const [picture, setPicture] = useState<Picture | null>(null);
  const [layers, setLayers] = useState<readonly GpxLayer[]>([]);
  const [row, setRow] = useState(FIRST_ROW);
  const made = useMemo(
    () => (tool.is === 'row' ? fingerRow(place, row) : null),
    [tool, place, row],
  );
  const preview = useMemo(
    (): Place | null => (made?.ok ? { ...place, ...made.value } : null),
    [made, place],
  );

  /** What would not be sound is not done, and it is said why. */
  const edit = (next: Place): boolean => {
    const checked = check<Place>(placeSchema, next);
    setRefused(checked.ok ? null : checked.problems[0]!.message);
    if (checked.ok) store.getState().edit(next);
    return checked.ok;
  };
  /** Makes a thing of the points put. What does not come to one is said; an outline's corners stay, to be mended. */
  const complete = (all: readonly XY[], then?: Tool): void => {
    const done = finish(place, tool, all);
    const made = 'why' in done ? (setRefused(done.why), null) : edit(done.place) ? done.id : null;
    if (made !== null || !isOutline(tool)) store.getState().setPoints([]);
    if (made === null) return;
    if (then) return store.getState().setTool(then);
    if (tool.is === 'spot' || tool.is === 'boat') return;
    store.getState().setTool({ is: 'choose' });
    store.getState().choose(made);
  };
  /** Another tool: what is drawn as far as an outline goes is not lost for it. */
  const run = (next: Tool) => {
    setRefused(null);
    if (isOutline(tool) && points.length >= 3) complete(points, next);
    else store.getState().setTool(next);
  };
  const put = (at: XY) => {
    if (tool.is === 'row') return setRow({ ...row, from_m: [at[0], at[1]] });
    const same = (point: XY | undefined) => point?.[0] === at[0] && point[1] === at[1];
    if (isOutline(tool) && (same(points[0]) || same(points.at(-1)))) {
      if (points.length >= 3) complete(points);
      return;
    }
    const next = tool.is === 'measure' && points.length === 2 ? [at] : [...points, at];
    const enough = pointsFor(tool);
    if (enough !== null && next.length >= enough) complete(next);
    else store.getState().setPoints(next);
  };

  const keys = { preventDefault: true } as const;
  useHotkeys('mod+z', () => store.temporal.getState().undo(), keys);
  useHotkeys('mod+shift+z, mod+y', () => store.temporal.getState().redo(), keys);
  useHotkeys('enter', () => isOutline(tool) && points.length > 0 && complete(points), {
    ignoreEventWhen: (event) =>
      event.target instanceof HTMLElement && event.target.closest('button, a, summary') !== null,
  });
  useHotkeys('backspace', () => store.getState().setPoints(points.slice(0, -1)), keys);
  useHotkeys('escape', () => {
    if (points.length > 0) store.getState().setPoints([]);
    else store.getState().setTool({ is: 'choose' });
  });
  useHotkeys('delete', () => {
    const { chosen } = store.getState();
    if (!chosen) return;
    edit(without(place, chosen));
    store.getState().choose(null);
  });

  return (
    <main className="grid h-dvh min-h-[600px] grid-cols-[minmax(0,1fr)_348px] grid-rows-[44px_minmax(0,1fr)] overflow-hidden max-md:flex max-md:h-auto max-md:flex-col">
      <Head save={save.state} uses={opened.uses} />
      <div className="relative min-h-0 max-md:h-[56dvh]">
        <PlacePlan
          preview={preview}
          picture={picture}
          layers={layers}
          put={put}
          choose={(id) => store.getState().choose(id)}
          edit={edit}
        />
      </div>
      <aside
        aria-label="What is drawn"
        className="relative min-h-0 overflow-y-auto border-l border-ink bg-paper px-5 py-3"
      >
        {save.left && (
          <LeftEdits
            at={save.left.at}
            older={save.left.revision < opened.revision}
            onUse={() => {
              if (save.left) store.getState().edit(save.left.document);
              save.settleLeft();
            }}
            onDiscard={save.settleLeft}
          />
        )}
        {save.state.is === 'conflict' && (
          <div role="alert" className="pb-2">
            <p className="font-semibold text-hurt">
              Changed in another window; nothing was overwritten.
            </p>
            <p className="flex gap-4">
              <button type="button" className="text-plan underline" onClick={save.keepMine}>
                Keep this one
              </button>
              <button
                type="button"
                className="text-plan underline"
                onClick={() => {
                  if (save.state.is !== 'conflict') return;
                  store.getState().edit(save.state.theirs);
                  save.takeTheirs();
                }}
              >
                Show the other
              </button>
            </p>
          </div>
        )}
        <ToolList choose={run} />
        <div className="rule-t py-2">
          {tool.is === 'row' ? (
            <RowPanel
              row={row}
              problems={made && !made.ok ? made.problems : []}
              onChange={setRow}
              onPut={() => {
                if (!made?.ok) return;
                const { features, berths } = made.value;
                const next = {
                  ...place,
                  features: [...place.features, ...features],
                  berths: [...place.berths, ...berths],
                };
                if (edit(next)) store.getState().setTool({ is: 'choose' });
              }}
            />
          ) : (
            <ToolPanel put={put} close={() => complete(points)} fleet={fleet} />
          )}
          {refused && (
            <p role="alert" className="pt-1 font-semibold text-hurt">
              {refused}
            </p>
          )}
        </div>
        {tool.is === 'choose' && (
          <div className="rule-t py-2">
            <ThingPanel edit={edit} fleet={fleet} />
          </div>
        )}
        <TidePanel edit={edit} />
        <PicturePanel picture={picture} onChange={setPicture} />
        <TracePanel layers={layers} onChange={setLayers} edit={edit} />
        <PlaceFields edit={edit} saved={save.state.is === 'saved'} />
        <PutAside />
        <p className="rule-t pt-2 text-[12.5px] text-quiet">
          A sketch for planning, not a chart: go by the harbour&rsquo;s own plans and your own eyes
          for depths and dangers.
        </p>
      </aside>
    </main>
  );
}

function Head({ save, uses }: { save: SaveState; uses: number }) {
  const name = usePlace((s) => s.place.name);
  const { temporal } = usePlaceStore();
  return (
    <header className="col-span-2 flex h-11 items-center gap-4 border-b border-ink bg-paper px-5 max-md:h-auto max-md:flex-wrap max-md:gap-x-3 max-md:px-3">
      <Link href="/" className="text-[17px] font-extrabold tracking-tight">
        Yawtrope
      </Link>
      <Link href="/places" className="hover:text-plan">
        Places
      </Link>
      <h1 className="truncate text-[15px] font-semibold">{name}</h1>
      {uses > 0 && (
        <p className="truncate text-quiet max-md:hidden">
          {uses === 1 ? 'one manoeuvre is' : `${uses} manoeuvres are`} sailed here
        </p>
      )}
      <Saved save={save} className="ml-auto" />
      <div className="flex shrink-0 items-center">
        <UnitButtons />
        <UndoButtons temporal={temporal} />
        <ThemeButton />
      </div>
    </header>
  );
}

/** Puts the place aside; from the list it can be brought back. */
function PutAside() {
  const id = usePlace((s) => s.place.id);
  const router = useRouter();
  const [wrong, setWrong] = useState<string | null>(null);
  const put = async () => {
    const answer = await saveDocument('DELETE', `/api/places/${id}`, null);
    if (answer.ok) router.push(`/places?aside=${id}`);
    else setWrong(answer.problems[0]!.message);
  };
  return (
    <p className="rule-t py-2">
      <button type="button" className="text-plan underline" onClick={() => void put()}>
        Remove this place
      </button>
      <span className="block text-[13px] text-quiet">
        Manoeuvres sailed here keep it; it can be brought back.
      </span>
      {wrong && (
        <span role="alert" className="font-semibold text-hurt">
          {wrong}
        </span>
      )}
    </p>
  );
}
