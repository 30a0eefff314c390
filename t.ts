import { randomDay } from './tests/support/day'
import { search } from './core/day/search'
import { randomSource } from './core/statistics/randomSource'
import { programmeOf } from './core/day/programme'
const d = randomDay(1,2); const f = search(d, 500, randomSource(1))!
console.log(programmeOf(d, f.timed.end).text)
