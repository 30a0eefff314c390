import { faultOf, labOf, swatchOf, type Patch, type PatchFault } from '#core/scents/colour'
import { patchAt, photoCanvas } from '~/utils/photoPatch'

/** A point that is picked in a photo. A card is white or grey: it is bright, and takes out the colour of the light. */
export interface PhotoPoint {
  is: string
  says: string
  beside: string
  card?: boolean
}
interface Spot {
  x: number
  y: number
}

const faultWords: Record<PatchFault, string> = {
  dark: 'is too dark to tell by: more light.',
  bright: 'is burnt out: less light, or no flash.',
  uneven: 'is uneven there: an edge, a hole or a shine. Move it to a plain spot.',
}
const inside = (value: number) => Math.min(1, Math.max(0, value))

/** A photo and the points that are picked in it, with the colour under each, as shot and with the card's light taken out. */
export function usePhotoPoints(names: () => readonly PhotoPoint[]) {
  const toasts = useToasts()
  const canvas = shallowRef<HTMLCanvasElement | null>(null)
  const file = shallowRef<Blob | null>(null)
  const url = ref('')
  onScopeDispose(() => URL.revokeObjectURL(url.value))
  const active = ref(names()[0]!.is)
  /** Where the points are, as parts of the picture. */
  const points = ref<Record<string, Spot>>({})

  async function take(taken: Blob) {
    try {
      canvas.value = await photoCanvas(taken)
      URL.revokeObjectURL(url.value)
      url.value = URL.createObjectURL(taken)
      file.value = taken
      points.value = {}
      active.value = names()[0]!.is
    } catch {
      toasts.show('This is no picture that can be read here.', { bad: true })
    }
  }
  /** Takes the file that an input was given; the same one can be given again. */
  function takeFrom(event: Event) {
    const input = event.target as HTMLInputElement
    const [given] = input.files ?? []
    if (given) void take(given)
    input.value = ''
  }
  function place(x: number, y: number) {
    if (url.value)
      points.value = { ...points.value, [active.value]: { x: inside(x), y: inside(y) } }
  }
  /** Puts the chosen point there and goes on to the next one that is not picked; a card is never asked for. */
  function pick(x: number, y: number) {
    place(x, y)
    const later = names().slice(names().findIndex(({ is }) => is === active.value) + 1)
    const open = later.find(({ is }) => !points.value[is])
    if (open && !open.card) active.value = open.is
  }
  function nudge(dx: number, dy: number) {
    const { x, y } = points.value[active.value] ?? { x: 0.5, y: 0.5 }
    place(x + dx, y + dy)
  }
  function forget(is: string) {
    const { [is]: _, ...rest } = points.value
    points.value = rest
    active.value = is
  }

  const patches = computed(() => {
    const picture = canvas.value
    return new Map<string, Patch>(
      names().flatMap(({ is }) => {
        const at = points.value[is]
        return picture && at
          ? [[is, patchAt(picture, at.x * picture.width, at.y * picture.height)] as const]
          : []
      }),
    )
  })
  const card = computed(() => patches.value.get(names().find((one) => one.card)?.is ?? '') ?? null)
  const colours = computed(
    () =>
      new Map(
        [...patches.value].map(([is, patch]) => {
          const [shot, balanced] = [labOf(patch, null), labOf(patch, card.value)]
          return [
            is,
            { shot, balanced, shotSwatch: swatchOf(shot), balancedSwatch: swatchOf(balanced) },
          ]
        }),
      ),
  )
  const faults = computed(() =>
    names().flatMap((one) => {
      const patch = patches.value.get(one.is)
      const fault = patch && faultOf(patch)
      // A white card is bright; only one that is burnt out in a colour says nothing.
      return fault && !(one.card && fault === 'bright') ? [`${one.says} ${faultWords[fault]}`] : []
    }),
  )
  useShortcuts({
    ...Object.fromEntries(
      [0, 1, 2].map((at) => [
        String(at + 1),
        () => (active.value = names()[at]?.is ?? active.value),
      ]),
    ),
    ArrowLeft: () => nudge(-0.004, 0),
    ArrowRight: () => nudge(0.004, 0),
    ArrowUp: () => nudge(0, -0.004),
    ArrowDown: () => nudge(0, 0.004),
  })
  return {
    names,
    url,
    file,
    canvas,
    active,
    points,
    patches,
    card,
    colours,
    faults,
    takeFrom,
    pick,
    forget,
  }
}
export type PhotoPoints = ReturnType<typeof usePhotoPoints>
