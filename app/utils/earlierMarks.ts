import type { RunEvent } from '#contracts/run'

/** How the batter of a formula went at the bench before, by batch; nothing when it cannot be asked. */
export const earlierMarks = (
  formulaId: string,
): Promise<{ batchId: string; events: RunEvent[] }[]> =>
  api
    .get<{ batchId: string; events: RunEvent[] }[]>(`/api/formulas/${formulaId}/marks`)
    .catch(() => [])
