import type { Pattern } from '#contracts/words'
import type { FormulaDocument } from '#contracts/formula'
import type { RunSetup } from '#contracts/run'
import { describe, expect, it } from 'vitest'
import { plannedFrom } from '../../../tests/support/bench'
import { blankFormula } from '../../formula/blank'
import { sumOf } from '../../statistics/sum'
import { potsAsWeighed, reallyThere } from '../run/asWeighed'
import { toleranceOf } from './context'
import { dividedSays, type Divided } from './divide'
import { potsBegin, rowsOf } from './fold'
import type { Step } from './step'

/* Whole plans, line by line as a maker would read them: what, for how long, how much, into which vessel, after what. */

type Lines<Key extends keyof FormulaDocument> = FormulaDocument[Key]
const fat = (id: string, share: number, moment: 'pot' | 'trace' = 'pot') => ({
  id,
  share,
  moment,
  inLye: true,
})
const scent = (id: string, moment: 'trace' | 'oils' = 'trace') => ({
  id,
  name: id,
  rate: 0.02,
  of: 'oils' as const,
  moment,
})
const inOlive = { id: 'olive', ratio: 2, from: 'formula' as const }
const extra = (id: string, carrier: typeof inOlive | null = null) => ({
  id,
  rate: 0.01,
  of: 'oils' as const,
  carrier,
})
const dark = { id: 'activated-charcoal', grams: 2, carrier: inOlive }
const part = (name: string, share: number, more: Partial<Lines<'parts'>[number]> = {}) => ({
  name,
  share,
  scent: true,
  additives: [],
  ...more,
})
/** A kilogram of oils. */
const kilo = (
  fats: Lines<'fats'>,
  { patterns = ['plain'], ...method }: Partial<Lines<'method'>> & { patterns?: Pattern[] } = {},
  more: Partial<FormulaDocument> = {},
): FormulaDocument => ({
  ...blankFormula('Read aloud'),
  size: { by: 'oils', grams: 1000 },
  fats,
  method: { ...blankFormula('').method, ...method, patterns },
  ...more,
})
const half = [fat('tallow', 0.5), fat('olive', 0.5)]
const alkali = { naohPurity: 1, kohShare: 0, kohPurity: 0.9, solutionStrength: null }

/** A step in a line: `!` cannot be left out, `~` has to do with lye. */
const rowOf = (step: Step) =>
  [
    `${step.id} ${step.kind}${step.needed ? '!' : ''}${step.lye ? '~' : ''}${step.until ? ` ${step.until}` : ''}`,
    `${step.minutes} min`,
    step.weigh && `${Math.round(step.weigh.grams * 10) / 10} g${step.weigh.alone ? ' alone' : ''}`,
    step.vessel,
    step.watch && `${step.watch.vessel} under ${step.watch.most}`,
    step.after.length && `after ${step.after.join(' ')}`,
  ]
    .filter(Boolean)
    .join(', ')
const read = (document: FormulaDocument, setup: Partial<RunSetup> = {}) => {
  const { ctx, plan } = plannedFrom(document, setup)
  const rows = plan.steps.map(rowOf)
  /** From one step to another, both included. */
  const between = (from: string, to: string) =>
    rows.slice(
      plan.steps.findIndex(({ id }) => id === from),
      plan.steps.findIndex(({ id }) => id === to) + 1,
    )
  const vessels = plan.vessels.map(
    ({ id, says, millilitres, size }) => `${id}: ${says}, ${Math.round(millilitres)} of ${size}`,
  )
  const step = (id: string) => plan.steps.find((one) => one.id === id)!
  return { ctx, plan, rows, between, vessels, step }
}

describe('a plan read aloud', () => {
  it('one batter with everything: potash, acid, lactate, silk, clay in oil, late fat and yogurt, two scents, a line, a worked top', () => {
    const { rows, vessels, plan } = read(
      kilo(
        [fat('coconut', 0.3), fat('olive', 0.6), fat('shea', 0.1, 'trace')],
        { patterns: ['pencil-line', 'textured-top'], gel: 'force' },
        {
          alkali: { ...alkali, kohShare: 0.1 },
          water: { held: 'ratio', value: 2.2 },
          liquids: [{ id: 'yogurt', share: 0.1, moment: 'trace', way: 'poured' }],
          additives: [
            extra('citric-acid-anhydrous'),
            extra('sodium-lactate'),
            extra('silk'),
            extra('colloidal-oats'),
            extra('kaolin', inOlive),
          ],
          scents: [scent('fir'), scent('moss', 'oils')],
        },
      ),
    )
    expect(rows.join('\n')).toMatchInlineSnapshot(`
      "gate safety-check!, 3 min
      mould do, 5 min
      lay-out do, 5 min
      weigh:water weigh!, 1 min, 304.5 g, lye-jug
      weigh:additive:citric-acid-anhydrous weigh!, 2 min, 10 g alone, lye-jug, after weigh:water
      weigh:koh weigh!~, 1 min, 23 g alone, koh-cup, after gate
      weigh:naoh weigh!~, 1 min, 133 g alone, lye-cup, after gate
      dissolve dissolve!~, 4 min, lye-jug, after gate weigh:water weigh:additive:citric-acid-anhydrous weigh:koh weigh:naoh
      weigh:additive:silk weigh!, 1 min, 10 g alone, lye-jug, after dissolve
      cool:lye cool!~, 0 min, lye-jug, lye under 50, after dissolve
      weigh:additive:sodium-lactate weigh!, 1 min, 10 g alone, lye-jug, after cool:lye
      weigh:fat:coconut weigh!, 1 min, 300 g, pan
      melt melt!, 10 min, pan, after weigh:fat:coconut
      weigh:fat:olive weigh!, 1 min, 580 g, pan, after melt
      weigh:scent:moss weigh!, 1 min, 20 g alone, pan, after weigh:fat:coconut melt weigh:fat:olive
      weigh:additive:colloidal-oats weigh!, 2 min, 10 g alone, cup:colloidal-oats
      weigh:carrier:kaolin weigh!, 1 min, 20 g, cup:kaolin
      weigh:additive:kaolin weigh!, 2 min, 10 g alone, cup:kaolin, after weigh:carrier:kaolin
      weigh:fat:shea:trace weigh!, 1 min, 100 g alone, trace-cup
      weigh:liquid:yogurt:trace weigh!, 1 min, 33.8 g alone, trace-cup
      weigh:scent:fir weigh!, 1 min, 20 g alone, scent-cup
      meet meet!~, 1 min, after weigh:water weigh:additive:citric-acid-anhydrous weigh:koh weigh:naoh dissolve weigh:additive:silk cool:lye weigh:additive:sodium-lactate weigh:fat:coconut melt weigh:fat:olive weigh:scent:moss
      weigh-again check~, 1 min, after meet
      combine combine!~, 2 min, pan, after meet weigh:additive:colloidal-oats weigh:carrier:kaolin weigh:additive:kaolin weigh:fat:shea:trace weigh:liquid:yogurt:trace weigh:scent:fir
      batter:emulsion batter! emulsion, 3 min, pan, after combine
      add stir-in!, 1 min, pan, after batter:emulsion
      batter:trace batter!, 3 min, pan, after add
      act:half do, 3 min, mould, after batter:trace
      act:line do, 1 min, mould, after act:half
      pour pour!, 5 min, mould, after batter:trace act:half act:line
      act:texture do, 4 min, mould, after pour
      cover cover!, 2 min, mould, after act:texture
      rinse rinse!, 8 min, after cover"
    `)
    expect(vessels.join('\n')).toMatchInlineSnapshot(`
      "lye-cup: Dry cup for the lye, 121 of 250
      koh-cup: Dry cup for the potash, 21 of 50
      lye-jug: Lye jug, heat-proof, 366 of 750
      pan: Pan for the oils and the batter, 1564 of 2000
      cup:colloidal-oats: Cup for colloidal-oats, 10 of 50
      cup:kaolin: Cup for a colour in oil, 30 of 50
      trace-cup: Cup for shea butter, 134 of 250
      scent-cup: Cup for fir, 20 of 50"
    `)
    expect(plan.tools.join('\n')).toMatchInlineSnapshot(`
      "Scale, and paper under it
      Two thermometers, or one that is rinsed between
      Spatula and spoons of steel, silicone or PP
      A fine sieve for the lye
      Stick blender with a steel or plastic foot
      Mould, liner and lid
      A dry colour for the line, about 1 g, and a fine sieve or a puff
      A spoon and a skewer for the top
      Paper towels, a bowl of water, a bin bag"
    `)
  })

  it('milk into lye that has cooled, whisked, spun at emulsion', () => {
    const { rows, vessels, plan, step } = read(
      kilo(
        [fat('olive', 1)],
        { patterns: ['spun-swirl'], tool: 'whisk' },
        { liquids: [{ id: 'goat-milk', share: 0.5, moment: 'lye', way: 'into-cooled-lye' }] },
      ),
    )
    expect(rows.slice(3).join('\n')).toMatchInlineSnapshot(`
      "weigh:water weigh!, 1 min, 151.4 g, lye-jug
      weigh:naoh weigh!~, 1 min, 128.6 g alone, lye-cup, after gate
      dissolve dissolve!~, 4 min, lye-jug, after gate weigh:water weigh:naoh
      cool:lye cool!~, 0 min, lye-jug, lye under 24, after dissolve
      weigh:liquid:goat-milk weigh!, 1 min, 151.4 g alone, milk-jug
      stir:liquid:goat-milk stir-in!~, 15 min, lye-jug, lye under 38, after weigh:liquid:goat-milk cool:lye
      weigh:fat:olive weigh!, 1 min, 1000 g, pan
      warm melt!, 4 min, pan, after weigh:fat:olive
      meet meet!~, 1 min, after weigh:water weigh:naoh dissolve cool:lye weigh:liquid:goat-milk stir:liquid:goat-milk weigh:fat:olive warm
      weigh-again check~, 1 min, after meet
      combine combine!~, 2 min, pan, after meet
      batter:emulsion batter! emulsion, 20 min, pan, after combine
      pour pour!, 4 min, mould, after batter:emulsion
      act:spin do, 2 min, mould, after pour
      cover cover!, 2 min, mould, after act:spin
      rinse rinse!, 8 min, after cover"
    `)
    expect(vessels).toContain('milk-jug: Cup for goat milk, 151 of 250')
    expect(plan.tools).toContain('A whisk')
    expect(step('cover').says).toBe('Cover it, keep it cool')
  })

  it('milk frozen, oils onto the milk-lye: the jug must hold all of it', () => {
    const document = kilo(
      half,
      { gel: 'prevent' },
      { liquids: [{ id: 'goat-milk', share: 1, moment: 'lye', way: 'frozen' }] },
    )
    const onto = read(document, { oilsOntoLye: true })
    expect(onto.between('weigh:liquid:goat-milk', 'combine').join('\n')).toMatchInlineSnapshot(`
      "weigh:liquid:goat-milk weigh!, 1 min, 332.2 g, lye-jug
      weigh:naoh weigh!~, 1 min, 131.3 g alone, lye-cup, after gate
      dissolve dissolve!~, 20 min, lye-jug, lye under 38, after gate weigh:liquid:goat-milk weigh:naoh
      weigh:fat:tallow weigh!, 1 min, 500 g, pan
      melt melt!, 10 min, pan, after weigh:fat:tallow
      weigh:fat:olive weigh!, 1 min, 500 g, pan, after melt
      meet meet!~, 1 min, after weigh:liquid:goat-milk weigh:naoh dissolve weigh:fat:tallow melt weigh:fat:olive
      weigh-again check~, 1 min, after meet
      combine combine!~, 2 min, pan, after meet"
    `)
    expect(onto.step('combine').says).toBe('Oils onto the milk-lye, slowly')
    expect(onto.vessels[1]).toBe('lye-jug: Lye jug, heat-proof, 1453 of 3000')
    const usual = read(document)
    expect(usual.step('combine').says).toBe('Lye into the oils, slowly')
    expect(usual.vessels[1]).toBe('lye-jug: Lye jug, heat-proof, 346 of 750')
    // Milk that is not frozen knows no such way.
    const poured = kilo(
      half,
      {},
      {
        liquids: [{ id: 'goat-milk', share: 0.3, moment: 'oils', way: 'poured' }],
      },
    )
    expect(read(poured, { oilsOntoLye: true }).step('combine').how).toContain('Never oils into lye')
  })

  it('hot lye melts the fats; lye from a can does not, nor milk-lye, nor lye of each pot', () => {
    const melts = read(kilo(half), { meltBy: 'lye' })
    expect(melts.between('weigh:water', 'combine').join('\n')).toMatchInlineSnapshot(`
      "weigh:water weigh!, 1 min, 289 g, lye-jug
      weigh:naoh weigh!~, 1 min, 131.3 g alone, lye-cup, after gate
      dissolve dissolve!~, 4 min, lye-jug, after gate weigh:water weigh:naoh
      weigh:fat:tallow weigh!, 1 min, 500 g, pan
      melt melt!~, 8 min, pan, after gate dissolve weigh:fat:tallow
      weigh:fat:olive weigh!, 1 min, 500 g, pan, after melt
      meet meet!~, 1 min, after weigh:water weigh:naoh dissolve weigh:fat:tallow melt weigh:fat:olive
      combine combine!~, 2 min, pan, after meet"
    `)
    const can = kilo(
      half,
      {},
      {
        alkali: { ...alkali, solutionStrength: 0.36 },
        water: { held: 'ratio', value: 0.64 / 0.36 },
      },
    )
    const milk = kilo(
      half,
      {},
      {
        liquids: [{ id: 'goat-milk', share: 1, moment: 'lye', way: 'frozen' }],
      },
    )
    const own = (value: number) => ({ water: { held: 'ratio' as const, value } })
    const pots = kilo(half, {}, { parts: [part('a', 0.5, own(1.5)), part('b', 0.5, own(2))] })
    for (const document of [can, milk, pots, kilo([fat('olive', 1)])]) {
      const { ctx, rows } = read(document, { meltBy: 'lye' })
      expect(ctx.meltsByLye).toBe(false)
      expect(rows.join()).toContain('weigh-again check')
    }
  })

  it('ready-mixed lye: as it is, or thinned with potash in it', () => {
    const can = { ...alkali, solutionStrength: 0.36 }
    const asIs = read(kilo(half, {}, { alkali: can, water: { held: 'ratio', value: 0.64 / 0.36 } }))
    expect(asIs.between('weigh:solution', 'meet').join('\n')).toMatchInlineSnapshot(`
      "weigh:solution weigh!~, 1 min, 364.9 g alone, lye-jug, after gate
      weigh:fat:tallow weigh!, 1 min, 500 g, pan
      melt melt!, 10 min, pan, after weigh:fat:tallow
      weigh:fat:olive weigh!, 1 min, 500 g, pan, after melt
      meet meet!~, 1 min, after weigh:solution weigh:fat:tallow melt weigh:fat:olive"
    `)
    const both = { ...can, kohShare: 0.2, solutionStrength: 0.5 }
    const thinned = read(kilo(half, {}, { alkali: both, water: { held: 'ratio', value: 2.2 } }))
    expect(thinned.between('weigh:water', 'dissolve').join('\n')).toMatchInlineSnapshot(`
      "weigh:water weigh!, 1 min, 207.2 g, lye-jug
      weigh:koh weigh!~, 1 min, 40.9 g alone, koh-cup, after gate
      weigh:solution weigh!~, 1 min, 210.2 g alone, lye-cup, after gate
      dissolve dissolve!~, 4 min, lye-jug, after gate weigh:water weigh:koh weigh:solution"
    `)
    expect(thinned.step('dissolve').short).toBe('Potash and lye solution, stir')
    expect(thinned.vessels.slice(0, 3).join('\n')).toMatchInlineSnapshot(`
      "lye-cup: Dry jug for the lye solution, 140 of 250
      koh-cup: Dry cup for the potash, 37 of 100
      lye-jug: Lye jug, heat-proof, 342 of 750"
    `)
  })

  it('ice counts as water; strong lye takes twice as long', () => {
    const ice = read(kilo(half, {}, { water: { held: 'ratio', value: 2.2 }, iceShare: 0.4 }))
    const water = ice.step('weigh:water').weigh!.grams
    const frozen = ice.step('weigh:ice').weigh!.grams
    expect(frozen / (water + frozen)).toBeCloseTo(0.4, 2)
    expect(ice.step('dissolve').minutes).toBe(4)
    const strong = read(kilo(half, {}, { water: { held: 'ratio', value: 1.05 } }))
    expect(strong.step('dissolve').minutes).toBe(8)
    const wider = read(kilo(half, {}, { water: { held: 'ratio', value: 1.15 } }))
    expect(wider.step('dissolve').minutes).toBe(4)
  })

  it('three slanted layers with a powder line, divided up front', () => {
    const { rows, vessels, step, plan } = read(
      kilo(
        [fat('coconut', 0.3), fat('olive', 0.7)],
        { patterns: ['slanted-layers', 'pencil-line'] },
        {
          scents: [scent('fir')],
          parts: [
            part('pale', 0.5),
            part('dark', 0.3, { scent: false, additives: [dark] }),
            part('top', 0.2),
          ],
        },
      ),
    )
    expect(rows.join('\n')).toMatchInlineSnapshot(`
      "gate safety-check!, 3 min
      mould do, 5 min
      act:prop do, 1 min, mould, after mould
      lay-out do, 5 min
      weigh:water weigh!, 1 min, 313 g, lye-jug
      weigh:naoh weigh!~, 1 min, 142.2 g alone, lye-cup, after gate
      dissolve dissolve!~, 4 min, lye-jug, after gate weigh:water weigh:naoh
      weigh:fat:coconut weigh!, 1 min, 300 g, pan
      melt melt!, 10 min, pan, after weigh:fat:coconut
      weigh:fat:olive weigh!, 1 min, 696 g, pan, after melt
      weigh:carrier:activated-charcoal@1 weigh!, 1 min, 4 g, cup:activated-charcoal@1
      weigh:additive:activated-charcoal@1 weigh!, 2 min, 2 g alone, cup:activated-charcoal@1, after weigh:carrier:activated-charcoal@1
      weigh:scent:fir weigh!, 1 min, 14 g alone, scent-cup
      weigh:share:scent@0 weigh!, 1 min, 10 g, scent-cup@0, after weigh:scent:fir
      weigh:share:scent@2 weigh!, 1 min, 4 g, scent-cup@2, after weigh:scent:fir
      meet meet!~, 1 min, after weigh:water weigh:naoh dissolve weigh:fat:coconut melt weigh:fat:olive
      weigh-again check~, 1 min, after meet
      weigh:share:oils@0 weigh!, 1 min, 500 g, pot@0, after meet
      weigh:share:oils@1 weigh!, 1 min, 296 g, pot@1, after meet
      weigh:share:oils@2 weigh!, 1 min, 200 g, pot@2, after meet
      weigh:share:lye@0 weigh!~, 1 min, 227.6 g, lye-share@0, after meet
      weigh:share:lye@1 weigh!~, 1 min, 136.6 g, lye-share@1, after meet
      weigh:share:lye@2 weigh!~, 1 min, 91 g, lye-share@2, after meet
      combine@0 combine!~, 2 min, pot@0, after meet weigh:share:oils@0 weigh:share:lye@0 weigh:scent:fir weigh:share:scent@0
      batter:emulsion@0 batter! emulsion, 3 min, pot@0, after combine@0
      add@0 stir-in!, 1 min, pot@0, after batter:emulsion@0
      batter:trace@0 batter!, 3 min, pot@0, after add@0
      pour@0 pour!, 3 min, mould, after batter:trace@0
      combine@1 combine!~, 2 min, pot@1, after meet weigh:share:oils@1 weigh:share:lye@1 weigh:carrier:activated-charcoal@1 weigh:additive:activated-charcoal@1 weigh:scent:fir
      batter:emulsion@1 batter! emulsion, 3 min, pot@1, after combine@1
      add@1 stir-in!, 1 min, pot@1, after batter:emulsion@1
      batter:trace@1 batter!, 3 min, pot@1, after add@1
      act:line@1 do, 1 min, mould, after pour@0
      pour@1 pour!, 3 min, mould, after pour@0 batter:trace@1 act:line@1
      combine@2 combine!~, 2 min, pot@2, after meet weigh:share:oils@2 weigh:share:lye@2 weigh:scent:fir weigh:share:scent@2
      batter:emulsion@2 batter! emulsion, 3 min, pot@2, after combine@2
      add@2 stir-in!, 1 min, pot@2, after batter:emulsion@2
      batter:trace@2 batter!, 3 min, pot@2, after add@2
      act:line@2 do, 1 min, mould, after pour@1
      act:level@2 do, 1 min, mould, after pour@1
      pour@2 pour!, 3 min, mould, after pour@1 batter:trace@2 act:line@2 act:level@2
      cover cover!, 2 min, mould, after pour@2
      rinse rinse!, 8 min, after cover"
    `)
    expect(vessels.slice(2).join('\n')).toMatchInlineSnapshot(`
      "pan: Pan for the oils and the batter, 1462 of 2000
      pot@0: Pot for pale, 733 of 1500
      pot@1: Pot for dark, 436 of 750
      pot@2: Pot for top, 293 of 500
      lye-share@0: Jug for the lye of pale, 170 of 250
      lye-share@1: Jug for the lye of dark, 102 of 250
      lye-share@2: Jug for the lye of top, 68 of 100
      cup:activated-charcoal@1: Cup for a colour in oil, 6 of 50
      scent-cup: Cup for fir, 14 of 50
      scent-cup@0: Cup for scent, pale, 10 of 50
      scent-cup@2: Cup for scent, top, 4 of 50"
    `)
    // Folded: what repeats for pot after pot, its least and most, its minutes; single acts stand for themselves.
    const folds = rowsOf(plan.steps).map(({ steps, from, fold }) =>
      fold
        ? `${from + 1}–${from + steps.length} ${fold.kind} ${fold.pot} ${fold.grams && Object.values(fold.grams).map(Math.round).join('…')} ${fold.minutes} min`
        : `${from + 1} ${steps[0]!.id}`,
    )
    expect(folds.slice(10).join('\n')).toMatchInlineSnapshot(`
      "11–12 ready null 2…4 3 min
      13 weigh:scent:fir
      14–15 cups null 4…10 2 min
      16 meet
      17 weigh-again
      18–20 cups null 200…500 3 min
      21–23 cups null 91…228 3 min
      24–28 pot 0 null 12 min
      29–32 pot 1 null 9 min
      33 act:line@1
      34 pour@1
      35–38 pot 2 null 9 min
      39 act:line@2
      40 act:level@2
      41 pour@2
      42 cover
      43 rinse"
    `)
    expect(potsBegin(plan)).toBe(23)
    expect(step('pour@0').how).toContain('runs level by itself')
    expect(step('pour@1').how).not.toContain('runs level by itself')
    expect(step('pour@1').says).toBe('Pour the layer dark')
    expect(step('add@1').says).toBe('Stir in activated charcoal, dark')
    expect(step('add@0').says).toBe('Stir in fir, pale')
    expect(step('add@1').how).not.toContain('scent')
    expect(step('add@0').how).toContain('Colour before scent')
  })

  it('two colours together, divided at emulsion, with milk, a late fat and an acid', () => {
    const { rows, step } = read(
      kilo(
        [fat('coconut', 0.3), fat('olive', 0.6), fat('shea', 0.1, 'trace')],
        { patterns: ['in-pot-swirl'] },
        {
          liquids: [{ id: 'goat-milk', share: 0.3, moment: 'oils', way: 'poured' }],
          scents: [scent('fir'), scent('moss')],
          parts: [part('pale', 0.6), part('dark', 0.4, { additives: [dark] })],
        },
      ),
    )
    expect(rows.slice(3).join('\n')).toMatchInlineSnapshot(`
      "weigh:water weigh!, 1 min, 226.9 g, lye-jug
      weigh:naoh weigh!~, 1 min, 141.6 g alone, lye-cup, after gate
      dissolve dissolve!~, 4 min, lye-jug, after gate weigh:water weigh:naoh
      weigh:fat:coconut weigh!, 1 min, 300 g, pan
      melt melt!, 10 min, pan, after weigh:fat:coconut
      weigh:fat:olive weigh!, 1 min, 596 g, pan, after melt
      cool:oils cool!, 0 min, pan, oils under 38, after weigh:fat:coconut melt weigh:fat:olive
      weigh:liquid:goat-milk weigh!, 1 min, 97.3 g, pan, oils under 38, after cool:oils
      weigh:carrier:activated-charcoal@1 weigh!, 1 min, 4 g, cup:activated-charcoal@1
      weigh:additive:activated-charcoal@1 weigh!, 2 min, 2 g alone, cup:activated-charcoal@1, after weigh:carrier:activated-charcoal@1
      weigh:fat:shea:trace weigh!, 1 min, 100 g alone, trace-cup
      weigh:share:late@0 weigh!, 1 min, 60 g, late-cup@0, after weigh:fat:shea:trace
      weigh:share:late@1 weigh!, 1 min, 40 g, late-cup@1, after weigh:fat:shea:trace
      weigh:scent:fir weigh!, 1 min, 20 g alone, scent-cup
      weigh:scent:moss weigh!, 1 min, 20 g alone, scent-cup
      weigh:share:scent@0 weigh!, 1 min, 24 g, scent-cup@0, after weigh:scent:fir weigh:scent:moss
      weigh:share:scent@1 weigh!, 1 min, 16 g, scent-cup@1, after weigh:scent:fir weigh:scent:moss
      meet meet!~, 1 min, after weigh:water weigh:naoh dissolve weigh:fat:coconut melt weigh:fat:olive cool:oils weigh:liquid:goat-milk
      weigh-again check~, 1 min, after meet
      combine combine!~, 2 min, pan, after meet weigh:carrier:activated-charcoal@1 weigh:additive:activated-charcoal@1 weigh:fat:shea:trace weigh:share:late@0 weigh:share:late@1 weigh:scent:fir weigh:scent:moss weigh:share:scent@0 weigh:share:scent@1
      batter:emulsion batter! emulsion, 3 min, pan, after combine
      weigh:share:batter@0 weigh!, 1 min, 819.5 g, pot@0, after batter:emulsion
      weigh:share:batter@1 weigh!, 1 min, 542.3 g, pot@1, after batter:emulsion
      add@0 stir-in!, 1 min, pot@0, after weigh:share:batter@0
      batter:trace@0 batter!, 3 min, pot@0, after add@0
      add@1 stir-in!, 1 min, pot@1, after weigh:share:batter@1
      batter:trace@1 batter!, 3 min, pot@1, after add@1
      act:swirl-in-pot do, 1 min, mould, after batter:trace@0 batter:trace@1
      pour pour!, 3 min, mould, after batter:trace@0 batter:trace@1 act:swirl-in-pot
      cover cover!, 2 min, mould, after pour
      rinse rinse!, 8 min, after cover"
    `)
    expect(step('pour').says).toBe('Pour: in-pot swirl')
    expect(step('add@1').says).toBe('Stir in shea butter, activated charcoal, fir, then moss, dark')
    expect(step('add@1').short).toBe('Stir in, dark: shea butter, activated charcoal')
  })

  it('waters of their own: a jug of lye each, drawn by a hanger together', () => {
    const own = (value: number) => ({ water: { held: 'ratio' as const, value } })
    const { rows, vessels } = read(
      kilo(
        [fat('olive', 1)],
        { patterns: ['hanger-swirl'] },
        { parts: [part('dry', 0.5, own(1.5)), part('wet', 0.5, own(2.5))] },
      ),
    )
    expect(rows.slice(3).join('\n')).toMatchInlineSnapshot(`
      "weigh:water@0 weigh!, 1 min, 96.5 g, lye-jug@0
      weigh:naoh@0 weigh!~, 1 min, 64.3 g alone, lye-cup@0, after gate
      dissolve@0 dissolve!~, 4 min, lye-jug@0, after gate weigh:water@0 weigh:naoh@0
      weigh:water@1 weigh!, 1 min, 160.8 g, lye-jug@1
      weigh:naoh@1 weigh!~, 1 min, 64.3 g alone, lye-cup@1, after gate
      dissolve@1 dissolve!~, 4 min, lye-jug@1, after gate weigh:water@1 weigh:naoh@1
      weigh:fat:olive weigh!, 1 min, 1000 g, pan
      warm melt!, 4 min, pan, after weigh:fat:olive
      meet meet!~, 1 min, after weigh:water@0 weigh:naoh@0 dissolve@0 weigh:water@1 weigh:naoh@1 dissolve@1 weigh:fat:olive warm
      weigh-again check~, 1 min, after meet
      weigh:share:oils@0 weigh!, 1 min, 500 g, pot@0, after meet
      weigh:share:oils@1 weigh!, 1 min, 500 g, pot@1, after meet
      combine@0 combine!~, 2 min, pot@0, after meet weigh:share:oils@0
      batter:emulsion@0 batter! emulsion, 3 min, pot@0, after combine@0
      combine@1 combine!~, 2 min, pot@1, after meet weigh:share:oils@1
      batter:emulsion@1 batter! emulsion, 3 min, pot@1, after combine@1
      batter:trace@0 batter!, 3 min, pot@0, after batter:emulsion@0
      batter:trace@1 batter!, 3 min, pot@1, after batter:emulsion@1
      pour pour!, 5 min, mould, after batter:trace@0 batter:trace@1
      act:hanger do, 2 min, mould, after pour
      cover cover!, 2 min, mould, after act:hanger
      rinse rinse!, 8 min, after cover"
    `)
    expect(vessels.join('\n')).toMatchInlineSnapshot(`
      "lye-cup@0: Dry cup for the lye, dry, 58 of 100
      lye-jug@0: Lye jug, heat-proof, dry, 112 of 250
      lye-cup@1: Dry cup for the lye, wet, 58 of 100
      lye-jug@1: Lye jug, heat-proof, wet, 172 of 500
      pan: Pan for the oils and the batter, 1392 of 2000
      pot@0: Pot for dry, 667 of 1000
      pot@1: Pot for wet, 726 of 1500"
    `)
  })
})

describe('what is divided is what is there', () => {
  const rich = (patterns: Pattern[]) =>
    kilo(
      [fat('coconut', 0.3), fat('olive', 0.6), fat('shea', 0.1, 'trace')],
      { patterns },
      {
        liquids: [
          { id: 'goat-milk', share: 0.2, moment: 'oils', way: 'poured' },
          { id: 'oat-milk', share: 0.2, moment: 'lye', way: 'poured' },
          { id: 'yogurt', share: 0.1, moment: 'trace', way: 'poured' },
        ],
        additives: [
          extra('citric-acid-anhydrous'),
          extra('sodium-lactate'),
          extra('silk'),
          extra('madder-root'),
          extra('kaolin', inOlive),
        ],
        scents: [scent('fir'), scent('moss', 'oils')],
        parts: [
          part('pale', 0.5),
          part('dark', 0.3, { additives: [dark] }),
          part('top', 0.2, { scent: false }),
        ],
      },
    )
  for (const patterns of [['layers'], ['in-pot-swirl']] satisfies Pattern[][])
    it(`${patterns[0]}: jug, pan, batter, late cup and scent, to the gram as planned`, () => {
      const { ctx, plan } = read(rich(patterns))
      const planned = (step: Step) => step.weigh!.grams
      const divided = new Set(
        plan.steps.flatMap(({ weigh }) => (weigh?.kind === 'share' ? [weigh.id] : [])),
      )
      expect([...divided]).toEqual(
        plan.dividing === 'upfront'
          ? ['extra', 'late', 'scent', 'oils', 'lye']
          : ['late', 'scent', 'batter'],
      )
      for (const what of divided) {
        const cups = plan.steps.filter(({ weigh }) => weigh?.kind === 'share' && weigh.id === what)
        expect(sumOf(cups, planned), what).toBeCloseTo(reallyThere(plan, what, planned), 0)
        expect(
          sumOf(cups, ({ weigh }) => weigh!.share),
          what,
        ).toBeCloseTo(1, 9)
        expect(cups[0]!.says).toBe(
          `Pour off the ${dividedSays(what as Divided)} for pale by weight`,
        )
        expect(cups.every(({ needed }) => needed)).toBe(true)
      }
      // Pots and whole agree; only the scented ones have scent.
      const pots = potsAsWeighed(ctx, plan, planned)
      expect(sumOf(pots, ({ oils }) => oils)).toBeCloseTo(1000, 0)
      expect(sumOf(pots, ({ batter }) => batter)).toBeCloseTo(ctx.onScale.result.batter, 0)
      expect(pots[2]!.scent).toBeLessThan(pots[0]!.scent)
    })
})

describe('the pan', () => {
  const pan = (fats: Lines<'fats'>, more: Partial<FormulaDocument> = {}, setup = {}) => {
    const { plan, step } = read(kilo(fats, {}, more), setup)
    const grams = plan.steps.flatMap(({ id, weigh, vessel }) =>
      vessel === 'pan' && weigh ? [[id.split(':').at(-1), Math.round(weigh.grams)]] : [],
    )
    return { grams, step, after: (id: string) => step(id).after }
  }
  const five = [
    fat('castor', 0.1),
    fat('coconut', 0.2),
    fat('olive', 0.3),
    fat('tallow', 0.3),
    fat('shea', 0.1),
  ]

  it('takes hard fats first, then soft ones, then what pours', () => {
    const { grams, step, after } = pan(five)
    expect(grams).toEqual([
      ['tallow', 300],
      ['coconut', 200],
      ['shea', 100],
      ['castor', 100],
      ['olive', 300],
    ])
    expect(after('weigh:fat:tallow')).toEqual([])
    expect(after('melt')).toEqual(['weigh:fat:tallow', 'weigh:fat:coconut', 'weigh:fat:shea'])
    expect(step('melt').short).toBe('Beef tallow, Coconut oil …: melt')
    expect(after('weigh:fat:olive')).toEqual(['melt'])
    expect(pan(five.slice(1, 4)).step('melt').short).toBe('Beef tallow, Coconut oil: melt')
    // What is easily mixed up says so, the rest how it is weighed.
    expect(step('weigh:fat:olive').how).toContain('pomace')
    expect(step('weigh:fat:castor').how).toContain('tared between')
  })

  it('weighs a fat that stands twice once, and none that is nought', () => {
    const { grams } = pan([
      fat('olive', 0.5),
      fat('coconut', 0.2),
      fat('olive', 0.3),
      fat('shea', 0),
    ])
    expect(grams).toEqual([
      ['coconut', 200],
      ['olive', 800],
    ])
  })

  it('is less by the oil of a colour that comes out of the formula, not by oil that comes on top', () => {
    const clay = (carrier: { id: string; ratio: number; from: 'formula' | 'extra' }) => ({
      additives: [{ ...extra('kaolin'), carrier }],
    })
    const fats = [fat('olive', 0.8), fat('castor', 0.2)]
    const of = (carrier: Parameters<typeof clay>[0]) =>
      Object.fromEntries(pan(fats, clay(carrier)).grams)
    expect(of({ id: 'olive', ratio: 2, from: 'formula' })).toMatchObject({
      olive: 780,
      castor: 200,
    })
    expect(of({ id: 'olive', ratio: 2, from: 'extra' })).toMatchObject({ olive: 800, castor: 200 })
    expect(of({ id: 'castor', ratio: 2, from: 'formula' })).toMatchObject({
      olive: 800,
      castor: 180,
    })
    // Of a fat that joins at trace the pan has none to spare.
    const late = [fat('olive', 0.8), fat('shea', 0.2, 'trace')]
    const { grams, step } = pan(late, clay({ id: 'shea', ratio: 2, from: 'formula' }))
    expect(grams).toEqual([['olive', 800]])
    expect(step('weigh:fat:shea:trace').weigh!.grams).toBeCloseTo(180, 6)
  })

  it('of oils alone is warmed where the room is more than four degrees colder', () => {
    const at = (oilsC: number) =>
      read(kilo([fat('olive', 1)], { oilsC }), { roomC: 17 }).step('warm')?.says
    expect(at(21)).toBeUndefined()
    expect(at(22)).toBe('Warm the oils to about 27 °C')
    expect(read(kilo(half, { oilsC: 40 })).step('warm')).toBeUndefined()
  })

  it('takes extras, scents and milk into the oils, nothing of nought', () => {
    const none = { rate: 0, share: 0 }
    const { plan, step } = read(
      kilo(
        [fat('olive', 1)],
        {},
        {
          liquids: [
            { id: 'green-tea', share: 0.2, moment: 'oils', way: 'poured' },
            { id: 'goat-milk', ...none, moment: 'oils', way: 'poured' },
          ],
          additives: [
            { ...extra('madder-root'), moment: 'oils' },
            { ...extra('silk'), ...none, moment: 'oils' },
          ],
          scents: [scent('moss', 'oils'), { ...scent('fir', 'oils'), ...none }],
        },
      ),
    )
    const names = plan.steps.flatMap(({ vessel, weigh }) =>
      vessel === 'pan' && weigh && weigh.kind !== 'fat' ? [weigh.id] : [],
    )
    expect(names).toEqual(['green-tea', 'madder-root', 'moss'])
    // Tea does not scorch: no waiting for it, no guard.
    expect(step('cool:oils')).toBeUndefined()
    expect(step('weigh:liquid:green-tea').watch).toBeUndefined()
    expect(step('weigh:additive:madder-root').weigh!.alone).toBe(true)
    expect(step('weigh:liquid:green-tea').weigh!.alone).toBe(false)
  })

  it('a weight may miss by a share of what it is, in whole steps of the scale, by one at least', () => {
    const by = [
      ['naoh', 1300, 1, 6],
      ['koh', 100, 0.1, 0.5],
      ['solution', 365, 1, 1],
      ['water', 250, 0.1, 2.5],
      ['ice', 250, 1, 2],
      ['fat', 950, 1, 9],
      ['carrier', 100, 1, 3],
      ['liquid', 333, 1, 3],
      ['additive', 99, 0.5, 1.5],
      ['scent', 30, 1, 1],
      ['share', 200, 1, 2],
    ] as const
    for (const [kind, grams, scale, tolerance] of by)
      expect(toleranceOf(kind, grams, scale), kind).toBeCloseTo(tolerance, 9)
  })
})

describe('the lye jug, in words and minutes', () => {
  const tea = (share: number) => ({
    liquids: [{ id: 'green-tea', share, moment: 'lye' as const, way: 'poured' as const }],
  })
  const ratio = (value: number) => ({ water: { held: 'ratio' as const, value } })

  it('names what is weighed, and how', () => {
    const { step } = read(
      kilo(half, {}, { alkali: { ...alkali, kohShare: 0.5 }, ...ratio(2.5), ...tea(0.4) }),
    )
    const says = ['water', 'liquid:green-tea', 'koh', 'naoh'].map((id) => {
      const { says, short } = step(`weigh:${id}`)
      return `${short} · ${says}`
    })
    expect(says).toEqual([
      'Water · Weigh the water into the lye jug',
      'Green tea, brewed · Weigh the green tea, brewed into the lye jug',
      'Potash, own cup · Weigh the potash in its own dry cup',
      'Lye, own cup · Weigh the lye in its own dry cup',
    ])
    expect(step('weigh:liquid:green-tea').how).not.toContain('small pieces')
    expect(step('weigh:naoh').how).toContain('Never into the water jug')
    expect(step('weigh:koh').weigh).toMatchObject({ kind: 'koh', alone: true })
    const milk = read(
      kilo(
        half,
        {},
        {
          liquids: [{ id: 'goat-milk', share: 1, moment: 'lye', way: 'frozen' }],
        },
      ),
    ).step('weigh:liquid:goat-milk')
    expect(`${milk.short} · ${milk.says}`).toBe(
      'Goat milk, frozen · Weigh the goat milk, frozen, into the lye jug',
    )
    expect(milk.how).toContain('small pieces')
    const can = { ...alkali, solutionStrength: 0.36 }
    const whole = read(kilo(half, {}, { alkali: can, ...ratio(0.64 / 0.36) })).step(
      'weigh:solution',
    )
    expect(`${whole.short} · ${whole.says}`).toBe(
      'Lye solution · Weigh the ready lye solution into the lye jug',
    )
    expect(whole.how).toContain('nothing thins it')
    const thinned = read(kilo(half, {}, { alkali: can, ...ratio(2.5) }))
    expect(thinned.step('weigh:solution').says).toBe(
      'Weigh the ready lye solution in its own dry jug',
    )
    expect(thinned.step('dissolve').says).toBe('Lye solution into the water')
    expect(thinned.step('dissolve').minutes).toBe(2)
    // Potash in a can that nothing thins goes into the lye itself.
    const both = { ...can, kohShare: 0.1 }
    const potash = read(kilo(half, {}, { alkali: both, ...ratio(0.3) })).plan.steps
    const dissolve = potash.find(({ id }) => id === 'dissolve')!
    expect(dissolve.says).toMatch(/^Potash into the (water, then the )?lye solution/)
  })

  it('is strong by all the water that is in it, and by both lyes; never of a can', () => {
    const minutes = (more: Partial<FormulaDocument>) =>
      read(kilo(half, {}, more)).step('dissolve').minutes
    // Tea is nearly all water: with it there are 1.15 of water to one of lye.
    expect(minutes({ ...ratio(1.15), ...tea(0.5) })).toBe(4)
    expect(minutes({ ...ratio(1.05), ...tea(0.5) })).toBe(8)
    expect(minutes({ ...ratio(1.05), alkali: { ...alkali, kohShare: 0.5 } })).toBe(8)
    expect(minutes({ ...ratio(1.05), alkali: { ...alkali, solutionStrength: 0.5 } })).toBe(2)
  })

  it('lye for milk cools to what the room lets it', () => {
    const milk = kilo(
      [fat('olive', 1)],
      {},
      {
        liquids: [{ id: 'goat-milk', share: 0.5, moment: 'lye', way: 'into-cooled-lye' }],
      },
    )
    expect(read(milk, { roomC: 30 }).step('cool:lye').watch!.most).toBe(34)
    expect(read(milk, { roomC: 12 }).step('cool:lye').watch!.most).toBe(24)
  })

  it('of pots with waters of their own every step knows its pot, the first too', () => {
    const own = (value: number) => ({ ...ratio(value), scent: false })
    const { plan } = read(
      kilo(
        [fat('olive', 1)],
        {},
        {
          liquids: [{ id: 'goat-milk', share: 0.3, moment: 'lye', way: 'into-cooled-lye' }],
          parts: [part('dry', 0.5, own(1.8)), part('wet', 0.5, own(2.5))],
        },
      ),
    )
    for (const id of ['weigh:water', 'dissolve', 'cool:lye', 'stir:liquid:goat-milk'])
      expect(
        plan.steps.filter((one) => one.id.startsWith(`${id}@`)).map(({ pot }) => pot),
        id,
      ).toEqual([0, 1])
  })
})
