/** Shown by one light only. */
const LIGHTS = [
  ['day', 'by-day'],
  ['night', 'by-night'],
] as const;

/** A picture that the server draws, by day and by night: the one not looked at is not fetched. */
export function Picture({ of, className = '' }: { of: string; className?: string }) {
  return LIGHTS.map(([by, shown]) => (
    <img
      key={by}
      src={`${of}?by=${by}`}
      alt=""
      loading="lazy"
      decoding="async"
      className={`${shown} aspect-[8/5] bg-water object-cover ${className}`}
    />
  ));
}
