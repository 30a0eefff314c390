import type { LabelElement } from '#contracts/label'
import { labelParts } from '#contracts/labelWords'
import { beginDesign } from '#core/label/designs'
import { saysOf } from '#core/label/fit'
import { setText } from '#core/label/setting'
import type { LabelSaid } from '#core/label/subject'
import type { LabelEditing } from './useLabelDesign'

/** What is put on a label, and what goes off it onto a paper of its own. */
export function useLabelPapers(
  main: LabelEditing,
  said: Ref<LabelSaid | null>,
  selected: Ref<string>,
) {
  const designs = useDesigns()
  const toasts = useToasts()
  /** A paper of its own for what does not fit: as a label for the back, or as a slip that is laid in. */
  async function ownPaper(kind: 'back' | 'slip', elementId: string) {
    const design = main.design.value
    const element = design?.elements.find(({ id }) => id === elementId)
    if (!design || !element || !said.value) return
    const { labelDesignSchema } = await import('#contracts/label')
    const words = saysOf(element, said.value.words)
    const begun = beginDesign('rectangle', `${design.name}, ${kind === 'back' ? 'back' : 'slip'}`)
    /** The lowest that holds it, of a width that goes four or two to a page. */
    const width = kind === 'back' ? 50 : 90
    const inner = { ...element, x: 3, y: 3, width: width - 6 }
    const set = setText(words, { ...inner, height: 400 })
    const height = Math.ceil(set.lines.length * set.step + 6.5)
    if (height > 140) {
      toasts.show('It is too long for one paper at this size of type.', { bad: true })
      return
    }
    const rows = Math.max(1, Math.floor(277 / (height + 2)))
    const columns = width === 50 ? 3 : 2
    const document = labelDesignSchema.parse({
      ...begun,
      width,
      height,
      corner: 2,
      custom: design.custom,
      elements: [{ ...inner, id: 'list-0', height: height - 6, text: element.text }],
      sheet: {
        page: 'A4',
        columns,
        rows,
        left: 12,
        top: 10,
        pitchX: columns === 3 ? 62 : 96,
        pitchY: height + 2,
      },
    })
    try {
      const { id } = await designs.save(newId(), 0, document)
      main.set({
        ...design,
        also: id,
        elements: design.elements.filter((one) => one.id !== element.id),
      })
      selected.value = ''
      const before = designs.list.find((one) => one.id === design.also)?.document.name
      toasts.show(
        before
          ? `${document.name} is printed along with it, in place of ${before}.`
          : `${document.name} is printed along with it.`,
      )
    } catch (error) {
      toasts.show(sentenceOf(error), { bad: true })
    }
  }
  const adding = computed(() => {
    const design = main.design.value
    if (!design) return []
    const there = new Set(design.elements.map(({ part }) => part))
    return labelParts
      .filter((part) => part === 'text' || !there.has(part))
      .map((part) => ({ says: partName(part), act: () => add(part) }))
  })
  function add(part: LabelElement['part']) {
    const design = main.design.value!
    const boxy = part === 'qr' || part === 'logo'
    const id = `${part}-${newId().slice(0, 8)}`
    main.set({
      ...design,
      elements: [
        ...design.elements,
        {
          id,
          part,
          x: Math.round(design.width * 0.1),
          y: Math.round(design.height * 0.1),
          width: boxy ? 15 : Math.max(10, Math.round(design.width * 0.6)),
          height: boxy ? 15 : part === 'wave' ? 12 : 6,
          size: 1.4,
          bold: false,
          align: 'left',
          bent: 'no',
          colour: '#182022',
          text:
            part === 'text'
              ? 'Made by hand'
              : part === 'barcode'
                ? (said.value?.words.code ?? '')
                : '',
          picture: null,
        },
      ],
    })
    selected.value = id
  }
  return { adding, add, ownPaper }
}
