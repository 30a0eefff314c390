import { Readable } from 'node:stream'
import { labelOrderSchema } from '#contracts/label'
import { labelFonts } from '../../labels/fonts'
import { readyOrder } from '../../labels/order'
import { labelsPdf } from '../../labels/pdf'

let fonts: ReturnType<typeof labelFonts> | undefined
const readFont = async (file: string) =>
  Buffer.from((await useStorage('assets:fonts').getItemRaw<Uint8Array>(file))!)

/** Labels as a PDF: line by line how far it is, the file last. Asks first while something does not fit, or claims what it may not. */
export default route(
  labelOrderSchema,
  async ({ db, event, body }) => {
    const ready = readyOrder(db, body)
    if (!ready) refuse(404, 'The design, or what it is for, is not there; it may be deleted.')
    if (ready.asks.length && !body.anyway && !body.test)
      refuse(409, ready.asks[0]!, '', { asks: ready.asks })
    fonts ??= labelFonts(readFont)
    const steps = labelsPdf(ready.jobs, await fonts, { ...ready, test: body.test })
    async function* lines() {
      for await (const step of steps)
        yield `${JSON.stringify('pdf' in step ? { pdf: step.pdf.toString('base64') } : step)}\n`
    }
    setResponseHeader(event, 'content-type', 'application/x-ndjson')
    return sendStream(event, Readable.from(lines()))
  },
  { may: ['read'] },
)
