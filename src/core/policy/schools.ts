// What people are taught differently. None is wrong; whoever follows one is shown plans by it first.

/**
 * How somebody was taught to handle a boat: by the gears alone or with the throttle as needed; thrusters freely or only as a backup; a spring first whatever the wind, by the
 * wind, or never.
 */
export const SCHOOLS = {
  throttle: ['as needed', 'gears alone'],
  thruster: ['freely', 'as a backup'],
  spring: ['by the wind', 'first', 'never'],
} as const;
export type SchoolOf = keyof typeof SCHOOLS;
export type School = { readonly [K in SchoolOf]: (typeof SCHOOLS)[K][number] };

/** What is taken where nothing is said. */
export const USUAL_SCHOOL: School = {
  throttle: 'as needed',
  thruster: 'freely',
  spring: 'by the wind',
};
