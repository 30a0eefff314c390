/** Lets the browser do what waits before the work goes on: a long list is read in one task and drawn in another. */
export const nextTurn = (): Promise<void> => new Promise((done) => setTimeout(done, 0))
