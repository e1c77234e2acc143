'use client';
import { useEffect, useRef, useState } from 'react';
import type { Place } from '@/document';
import { readNmea, type NmeaCounts } from '@/io/nmea0183';
import { recordOf } from '@/io/record';
import type { RecordDocument } from '@/document';

/** How often what came in is read anew, ms. */
const READ_EVERY_MS = 700;
const LIVE_ID = '00000000-0000-4000-8000-000000000000';

export interface Feed {
  readonly running: boolean;
  readonly counts: NmeaCounts | null;
  /** What has come in by now, as a record; null before the second position. */
  readonly record: RecordDocument | null;
  readonly problem: string | null;
}

const QUIET: Feed = { running: false, counts: null, record: null, problem: null };

/** A feed of instruments listened to: started, stopped, and handed over as text once it is over. */
export function useFeed(
  manoeuvreId: string,
  place: Place,
  onEnd: (text: string) => void,
): { readonly feed: Feed; start: (pace: number) => void; stop: () => void } {
  const [feed, setFeed] = useState(QUIET);
  const abort = useRef<AbortController | null>(null);
  useEffect(() => () => abort.current?.abort(), []);

  const listen = async (pace: number, signal: AbortSignal) => {
    const query = new URLSearchParams({
      manoeuvre: manoeuvreId,
      pace: String(pace),
      seed: String(Math.floor(Math.random() * 1e9)),
    });
    let text = '';
    let read = 0;
    try {
      const answer = await fetch(`/api/feed?${query.toString()}`, { signal });
      if (!answer.ok || !answer.body) {
        const body = (await answer.json()) as { problems?: readonly { message: string }[] };
        const problem = body.problems?.[0]?.message ?? 'the feed does not answer';
        return setFeed({ ...QUIET, problem });
      }
      const reader = answer.body.getReader();
      const decoder = new TextDecoder();
      for (;;) {
        const { done, value } = await reader.read();
        if (value) text += decoder.decode(value, { stream: true });
        const now = performance.now();
        if (done) break;
        if (now - read < READ_EVERY_MS) continue;
        read = now;
        setFeed({ running: true, problem: null, ...soFar(text, place, manoeuvreId) });
      }
    } catch {
      if (!signal.aborted)
        return setFeed({ ...QUIET, problem: 'the feed broke off; is the server still there?' });
    }
    setFeed(QUIET);
    onEnd(text);
  };
  return {
    feed,
    start: (pace) => {
      abort.current?.abort();
      abort.current = new AbortController();
      setFeed({ ...QUIET, running: true });
      void listen(pace, abort.current.signal);
    },
    stop: () => abort.current?.abort(),
  };
}

/** What a text read so far tells; its last line may not be whole yet. */
function soFar(text: string, place: Place, manoeuvreId: string): Pick<Feed, 'counts' | 'record'> {
  const whole = text.slice(0, text.lastIndexOf('\n') + 1);
  const read = readNmea(whole);
  if (!read.ok) return { counts: null, record: null };
  const called = { id: LIVE_ID, manoeuvreId, name: 'feed', source: 'feed' as const };
  const record = recordOf(read.value, place, called);
  return { counts: read.value.counts, record: record.ok ? record.value : null };
}
