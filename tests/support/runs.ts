/**
 * How many cases a property is tried on: as many as a check of every change can wait for, times what MANTLE_DEPTH says.
 * `npm run bench deep` tries tenfold.
 */
export const runs = (usual: number): { numRuns: number } => ({
  numRuns: Math.ceil(usual * Number(process.env.MANTLE_DEPTH ?? 1)),
})
