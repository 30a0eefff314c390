/** Money in the smallest unit of its currency, in words of the user's locale. */
export function moneyText(minor: number, currency: string): string {
  const format = new Intl.NumberFormat(navigator.language, { style: 'currency', currency })
  const digits = format.resolvedOptions().maximumFractionDigits ?? 2
  return format.format(minor / 10 ** digits)
}

/** How many of the smallest unit one whole of a currency has. */
export function minorUnits(currency: string): number {
  const { maximumFractionDigits } = new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
  }).resolvedOptions()
  return 10 ** (maximumFractionDigits ?? 2)
}
