/** A gamepad as it is held, with what each part does at the helm. */
export function PadPicture({ joystick }: { joystick: boolean }) {
  const words = (x: number, y: number, text: string, anchor: 'start' | 'middle' | 'end') => (
    <text x={x} y={y} textAnchor={anchor} className="fill-ink text-[11px]">
      {text}
    </text>
  );
  const lead = (d: string) => <path d={d} className="stroke-quiet" fill="none" />;
  return (
    <svg
      viewBox="0 0 560 210"
      className="w-full max-w-[560px]"
      role="img"
      aria-label="What is where on a gamepad"
    >
      <path
        d="M190 60 H370 C420 60 440 100 446 150 C448 176 424 182 408 164 L378 132 H182 L152 164 C136 182 112 176 114 150 C120 100 140 60 190 60 Z"
        className="stroke-ink"
        fill="none"
        strokeWidth="1.6"
      />
      {[172, 348].map((x) => (
        <rect key={x} x={x} y="44" width="42" height="12" className="stroke-ink" fill="none" />
      ))}
      {[172, 348].map((x) => (
        <rect key={x} x={x} y="28" width="42" height="12" className="stroke-ink" fill="none" />
      ))}
      <path
        d="M176 84 h10 v-10 h10 v10 h10 v10 h-10 v10 h-10 v-10 h-10 Z"
        className="stroke-ink"
        fill="none"
      />
      <circle cx="232" cy="116" r="15" className="stroke-ink" fill="none" />
      <circle cx="328" cy="116" r="15" className="stroke-ink" fill="none" />
      <circle cx="368" cy="100" r="6" className="fill-plan" />
      <rect x="292" y="76" width="14" height="7" className="fill-plan" />
      {lead('M172 34 H120')}
      {words(116, 38, 'stern thruster', 'end')}
      {lead('M172 50 H120')}
      {words(116, 54, 'bow thruster', 'end')}
      {lead('M390 34 H440')}
      {words(444, 38, 'stern thruster', 'start')}
      {lead('M390 50 H440')}
      {words(444, 54, 'bow thruster', 'start')}
      {lead('M176 89 H96')}
      {words(92, 93, 'levers, a notch', 'end')}
      {lead('M232 131 V186')}
      {words(232, 198, joystick ? 'wheel; twist' : 'wheel', 'middle')}
      {lead('M328 131 V186')}
      {words(328, 198, joystick ? 'joystick' : 'one lever', 'middle')}
      {lead('M374 100 H462')}
      {words(466, 104, 'neutral', 'start')}
      {lead('M299 76 V20')}
      {words(299, 14, 'go on, pause', 'middle')}
    </svg>
  );
}
