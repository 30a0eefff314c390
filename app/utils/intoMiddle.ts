/** Scrolls a row sideways until what is current in it stands in the middle; the page itself stays where it is. */
export function intoMiddle(row: HTMLElement | null): void {
  const current = row?.querySelector<HTMLElement>('[aria-current]')
  if (!row || !current) return
  const [all, one] = [row.getBoundingClientRect(), current.getBoundingClientRect()]
  row.scrollLeft += one.left + one.width / 2 - (all.left + all.width / 2)
}
