import { Archive, BookOpen, CupSoda, FlaskConical, LayoutList, Rows4, Scale } from '@lucide/vue'

/** The stations in the order of the work. One joins the bar when it exists. */
export const stations = [
  { name: 'Shelf', path: '/', key: 's', icon: LayoutList },
  { name: 'Formulas', path: '/formulas', key: 'f', icon: CupSoda },
  { name: 'Bench', path: '/bench', key: 'b', icon: Scale },
  { name: 'Rack', path: '/rack', key: 'r', icon: Rows4 },
  { name: 'Scents', path: '/scents', key: 'c', icon: FlaskConical },
  { name: 'Stores', path: '/stores', key: 't', icon: Archive },
  { name: 'Journal', path: '/journal', key: 'j', icon: BookOpen },
] as const
