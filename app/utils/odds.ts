/** A small chance in words: "1 in 800", "under 1 in 10,000". */
export function oddsText(chance: number, draws: number): string {
  const number = (value: number) => new Intl.NumberFormat(navigator.language).format(value)
  const least = 10 ** Math.floor(Math.log10(draws / 10))
  if (chance * draws < 1 || chance < 1 / least) return `under 1 in ${number(least)}`
  const one = 1 / chance
  if (one < 2) return `${number(Math.round(chance * 100))} of 100`
  const step = one < 20 ? 1 : one < 200 ? 10 : one < 2000 ? 100 : 1000
  return `1 in ${number(Math.max(2, Math.round(one / step) * step))}`
}
