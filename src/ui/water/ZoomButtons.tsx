'use client';
import { Maximize, Minus, Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { IconButton } from '../parts/IconButton';
import { ZOOM_STEP } from './use-camera';

/** Closer, wider, the whole of it; and what else stands with them. */
export function ZoomButtons({
  zoomBy,
  showWhole,
  whole,
  children,
}: {
  zoomBy: (factor: number) => void;
  showWhole: () => void;
  /** What the whole is, in words. */
  whole: string;
  children?: ReactNode;
}) {
  return (
    <div className="absolute right-3 top-3 flex flex-col border border-hairline bg-paper print:hidden">
      <IconButton label="Closer" onClick={() => zoomBy(ZOOM_STEP)}>
        <Plus size={18} />
      </IconButton>
      <IconButton label="Wider" onClick={() => zoomBy(1 / ZOOM_STEP)}>
        <Minus size={18} />
      </IconButton>
      <IconButton label={`Show ${whole}`} onClick={showWhole}>
        <Maximize size={16} />
      </IconButton>
      {children}
    </div>
  );
}
