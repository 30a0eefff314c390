import type { Gift, LabelDesign, SoapWords } from '#contracts/label'
import { defineStore } from 'pinia'

/** Designs of labels. */
export const useDesigns = defineStore('designs', () =>
  useDocuments<LabelDesign>('/api/designs', ({ name }) => name),
)

/** What customers read of a soap, by the id of its formula. */
export const useSoapWords = defineStore('soap-words', () => {
  const documents = useDocuments<SoapWords>('/api/soap-words', () => 'It')
  const none: SoapWords = {
    tagline: '',
    use: '',
    warnings: '',
    price: null,
    wholesale: null,
    designId: null,
  }
  const storedOf = (formulaId: string) => documents.list.value.find(({ id }) => id === formulaId)
  /** What is said of a formula; nothing yet where nobody wrote anything. */
  const of = (formulaId: string): SoapWords => storedOf(formulaId)?.document ?? none
  const inTurn = oneByOne()
  /** Changes some of it. One change goes after the other, each on what the one before it left. Throws an ApiError. */
  const change = (formulaId: string, changes: Partial<SoapWords>) =>
    inTurn(() =>
      documents.save(formulaId, storedOf(formulaId)?.revision ?? 0, {
        ...of(formulaId),
        ...changes,
      }),
    )
  return { ...documents, of, change }
})

/** Boxes of several bars. */
export const useGifts = defineStore('gifts', () =>
  useDocuments<Gift>('/api/gifts', ({ name }) => name),
)
