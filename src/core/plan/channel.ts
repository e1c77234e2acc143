/** What an order is given to: orders to one thing follow one another, and only those are held against each other. */
export type Channel =
  | { readonly of: 'wheel' }
  | { readonly of: 'engine'; readonly engine: number | null }
  | { readonly of: 'thruster'; readonly thruster: number }
  | { readonly of: 'joystick' }
  | { readonly of: 'line'; readonly line: number }
  | { readonly of: 'person'; readonly who: number }
  /** A paddle of a lock by its number, or gates by their end and leaf. */
  | { readonly of: 'lock'; readonly lock: number; readonly what: string };
