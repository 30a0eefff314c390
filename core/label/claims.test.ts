import { describe, expect, it } from 'vitest'
import { claimsIn } from './claims'

describe('what may not be said of a bar', () => {
  it.each([
    ['Heals cracked hands.', ['Heals']],
    ['A treatment for dry skin', ['treatment for dry skin']],
    ['Good against ECZEMA', ['ECZEMA']],
    ['Cured for six weeks in a slate shed', []],
    ['For hands that work', []],
    ['A clean swathe of heather', []],
    ['Castile', ['Castile']],
    ['Antibacterial Aleppo style', ['Antibacterial', 'Aleppo']],
  ])('%s', (text, says) => {
    expect(claimsIn(text).map((claim) => claim.says)).toEqual(says)
  })
  it('a promise is told apart from a place', () => {
    expect(claimsIn('healing nablus bar').map(({ kind }) => kind)).toEqual(['healing', 'origin'])
  })
})
