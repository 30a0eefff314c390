/** A copy without anything reactive about it, as a worker can be sent. The value holds nothing but data. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
