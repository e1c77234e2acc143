'use client';
import { M_PER_FOOT } from '@/core/units';
import { usePreferences } from '../state/preferences';
import { scaleBar, type Camera } from './camera';

export function ScaleBar({ camera }: { camera: Camera }) {
  const length = usePreferences((p) => p.length);
  const { length: units, px } = scaleBar(camera.scale, 150, length === 'ft' ? M_PER_FOOT : 1);
  return (
    <div className="pointer-events-none absolute bottom-3 left-5 flex items-center gap-2">
      <svg width={px + 2} height="10" aria-hidden className="text-ink">
        <path
          d={`M1 1 v8 M1 5 h${px} M${px + 1} 1 v8 M${1 + px / 2} 3 v4`}
          stroke="currentColor"
          strokeWidth="1.2"
          fill="none"
        />
      </svg>
      <span className="figures on-water text-[13px]">
        {units} {length}
        {camera.up === 0 ? ', north up' : ''}
      </span>
    </div>
  );
}
