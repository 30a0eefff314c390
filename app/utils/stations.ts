/** The stations in the order of the work. One joins the bar when it exists. */
export const stations = [
  { name: 'Shelf', path: '/', key: 's' },
  { name: 'Formulas', path: '/formulas', key: 'f' },
  { name: 'Bench', path: '/bench', key: 'b' },
  { name: 'Rack', path: '/rack', key: 'r' },
] as const
