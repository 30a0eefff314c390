import loadHighs from 'highs'
import type { Solver } from '#core/finder/find'

/** The solver that the app runs in a worker. */
export async function highsSolver(): Promise<Solver> {
  const highs = await loadHighs()
  return (programme) => {
    const { Status, Columns } = highs.solve(programme)
    return {
      found: Status === 'Optimal',
      values: Object.fromEntries(
        Object.entries(Columns).map(([name, column]) => [
          name,
          'Primal' in column ? column.Primal : 0,
        ]),
      ),
    }
  }
}
