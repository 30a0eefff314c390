import { demoTemplate } from '../support/server'

/** Loads the demo workshop once; every test that wants it copies the file. */
export default function setup(): void {
  process.env.MANTLE_TEMPLATE = demoTemplate()
}
