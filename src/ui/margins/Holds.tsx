'use client';
import { useEffect } from 'react';
import type { ManoeuvreFile, PlanDocument, VariationDocument } from '@/document';
import type { HowSure } from '@/workers';
import { useCertificate } from '../hooks/use-look';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { holdsReading } from '../words/reliability';
import { Row } from './Row';

/** How many of 100 tries hold: told anew with every lot of tries, by itself, so that nothing else is drawn for it. */
export function Holds({
  file,
  variation,
}: {
  file: ManoeuvreFile | null;
  variation: VariationDocument;
}) {
  const { found } = useCertificate(file, variation);
  const { setFan, setTried } = useWorkspaceStore().getState();
  const through = file && found?.fan ? found.certificate : null;
  useEffect(() => {
    if (!file || !through) return;
    const { share, runs } = through;
    setTried({ file, tries: { held: Math.round(share * runs), of: runs } });
  }, [setTried, file, through]);
  // Of a plan that was changed since, nothing is drawn.
  useEffect(() => () => setFan(null), [setFan, file, variation]);
  return file && found && <HowSureRow found={found} plan={file.plan} />;
}

/** The share, and some of the tries to be laid on the water once they are all in. */
export function HowSureRow({ found, plan }: { found: HowSure; plan: PlanDocument }) {
  const { certificate, asTold, fan } = found;
  const shown = useWorkspace((s) => s.fanShown);
  const { setFan, showFan } = useWorkspaceStore().getState();
  useEffect(() => setFan(fan), [setFan, fan]);
  return (
    <Row
      reading={holdsReading(certificate, { asTold, through: fan !== null }, plan)}
      seek={NOWHERE}
    >
      {fan && (
        <button
          type="button"
          className="text-left text-[12.5px] text-plan underline"
          aria-pressed={shown}
          onClick={() => showFan(!shown)}
        >
          {shown ? 'take them off the water' : `show ${fan.tries} of them on the water`}
        </button>
      )}
    </Row>
  );
}

function NOWHERE(): void {}
