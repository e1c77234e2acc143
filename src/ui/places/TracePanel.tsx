'use client';
import { useState } from 'react';
import { MOST_FEATURES, type Place } from '@/document';
import type { GpxLayer } from '@/io/gpx';
import { acceptOf, mostOf, readWith, TRACE_IMPORTERS } from '@/io/importers';
import { FileButton } from '../parts/FileButton';
import { readText } from '../parts/read-text';
import { drawn, freeId, freeNameFrom } from './edit';
import { usePlace } from './store';

/** Tracks and waypoints of a GPX file laid over the plan; its waypoints can be put as marks. */
export function TracePanel({
  layers,
  onChange,
  edit,
}: {
  layers: readonly GpxLayer[];
  onChange: (layers: readonly GpxLayer[]) => void;
  edit: (place: Place) => boolean;
}) {
  const place = usePlace((s) => s.place);
  const [wrong, setWrong] = useState<string | null>(null);
  const lay = async (file: File) => {
    const text = await readText(file, mostOf(TRACE_IMPORTERS));
    const about = { name: file.name, place };
    const read = text.ok ? readWith(TRACE_IMPORTERS, text.value, about) : text;
    setWrong(read.ok ? null : read.problems[0]!.message);
    if (read.ok) onChange([...layers, read.value]);
  };
  const putMarks = (layer: GpxLayer) => {
    const room = MOST_FEATURES - place.features.length;
    if (layer.waypoints.length > room)
      return setWrong(
        `These are ${layer.waypoints.length} waypoints; a place takes ${MOST_FEATURES} objects, and there is room for ${room}.`,
      );
    let next = place;
    for (const { name, at } of layer.waypoints) {
      const named = { id: freeId(next, name), name: freeNameFrom(next, name) };
      next = { ...next, features: [...next.features, drawn('mark', [at], named, {})] };
    }
    edit(next);
  };
  return (
    <details className="rule-t py-2">
      <summary className="cursor-pointer font-semibold">Tracks over it</summary>
      <FileButton
        label="GPX file"
        accept={acceptOf(TRACE_IMPORTERS)}
        className="text-plan underline"
        onFile={(file) => void lay(file)}
      >
        Lay a GPX file over
      </FileButton>
      <p className="text-[13px] text-quiet">
        Tracks and waypoints to draw by; they stay in this window.
      </p>
      {wrong && (
        <p role="alert" className="font-semibold text-hurt">
          {wrong}
        </p>
      )}
      {layers.map((layer, i) => (
        <p key={`${layer.name} ${i}`} className="rule-t flex flex-wrap gap-x-4 py-1 text-[13px]">
          <span className="min-w-0 flex-1 truncate">
            {layer.name}: {layer.tracks.length} tracks, {layer.waypoints.length} waypoints
          </span>
          {layer.waypoints.length > 0 && (
            <button type="button" className="text-plan underline" onClick={() => putMarks(layer)}>
              Put its waypoints as marks
            </button>
          )}
          <button
            type="button"
            className="text-plan underline"
            onClick={() => onChange(layers.filter((_, k) => k !== i))}
          >
            Remove it
          </button>
        </p>
      ))}
    </details>
  );
}
