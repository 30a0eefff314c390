import { demoFormulas } from './demo/formulas'
import { openDatabase } from './server/db/connection'
import { migrationFiles } from './server/db/migrationFiles'
import { loadDemo } from './demo/load'
import { listBatches, getBatch } from './server/db/batches'
import { formulas } from './server/db/documents'
import { workshopLibrary } from './server/db/library'
import { freeze } from './core/batch/freeze'
import { dayBatch, partsOf, paceOf, minutesOf, sharedLye } from './core/day/batchOfDay'
import { problemOf } from './core/day/tasks'
import { planDay, waysTogether } from './core/day/plan'
import { formatter } from './core/units/formatter'
import { usualSetup } from './contracts/benchWords'
import { randomSource } from './core/statistics/randomSource'
import { brokenRules, daySolver } from './tests/support/day'
import { demoWorkshop } from './demo/workshop'
const db = openDatabase(':memory:', migrationFiles())
try { loadDemo(db, new Date('2026-11-23T09:30:00Z')) } catch (e) {}
const lib = workshopLibrary(db)
const things0 = {scales:2,thermometers:3,plates:2,iceBaths:1,blenders:2,warmPlaces:2,coolPlaces:2,vessels: demoWorkshop.vessels}
const names = process.argv[2]!.split(',')
const say = formatter({scale: 0.1})
const bs = names.map((n, i) => {
  const f = formulas.list(db).find(x => x.document.name === n)!
  return dayBatch({ id: 'b'+i, number: 36+i, name: n, mould: null, frozen: freeze(f.document, lib), setup: {...usualSetup, ...demoWorkshop.bench, day: 'd'}, scale: 0.1 }, say)
})
for (const b of bs) { const p = partsOf(b); console.log(b.name, Object.fromEntries(Object.entries(p).map(([k,v])=>[k, v.map(s=>s.id+' '+s.minutes).join(', ')])), paceOf(b.plan)) }
console.log(sharedLye(bs))
const people = [{name:'Idris',from:3,until:null,pace:{}},{name:'Maren',from:3,until:null,pace:{}}].slice(0, Number(process.argv[3] ?? 2))
const things = things0
const solver = await daySolver()
const t=Date.now()
for (const wish of ['shortest','calm'] as const) {
const t=Date.now()
const plan = planDay({batches: bs, people, things}, wish, {solver, seconds: 8, random: randomSource(3), tell: p=>console.log(Date.now()-t, p.end, p.bound, JSON.stringify(p.together.fats).length, p.together.lye.length)})!
const problem = problemOf(bs, people, things, plan.together)
if (wish==='shortest') console.log(problem.lags.filter(l=>l.of!=='order').map(l=>`${l.from}→${l.to} ${l.of} ${l.least}..${l.most}`))
console.log(plan.placed.map(p=>`${p.at}-${p.to} ${people[p.person]!.name} ${p.task}`).join('\n'))
console.log(plan.end, plan.bound, plan.over, problem.tasks.length, brokenRules(problem, plan.placed))
}
