import type { RackStage } from '#core/rack/standing'

const steps: RackStage[] = ['planned', 'first-days', 'drying', 'last-weeks', 'ready']

/** The planks as five steps, with a bar on the one where a batch stands: as an address for images. */
export function stageStepsUrl(stage: RackStage): string {
  const here = steps.indexOf(stage)
  const drawn = steps
    .map((_, at) => {
      const y = 16 - at * 3.4
      return `<rect x="${at * 11}" y="${y}" width="9" height="2.4" fill="${at <= here ? '#7d8784' : '#c3cbc8'}"/>${at === here ? `<rect x="${at * 11 + 2}" y="${y - 8}" width="5" height="8" fill="#20292b"/>` : ''}`
    })
    .join('')
  return `data:image/svg+xml,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" width="54" height="19" viewBox="0 -6 54 25">${drawn}</svg>`)}`
}
