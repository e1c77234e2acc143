/**
 * Approach speeds, m/s, that part soft from firm from hard. Judgement: 0.1–0.25 m/s is a controlled berthing of small craft
 * on fenders (order of PIANC 2002, BS 6349-4; recalled); bare hull stands half of it.
 */
export const ON_FENDER = { firm: 0.15, hard: 0.3 } as const;
export const ON_HULL = { firm: 0.08, hard: 0.15 } as const;
