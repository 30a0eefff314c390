/** How far a pot of a trial has come, as at the bench. */
export const trialStages = ['emulsion', 'light', 'medium', 'thick', 'too-far'] as const
export type TrialStage = (typeof trialStages)[number]

/** What else is seen in a pot: none of it is a stage. */
export const trialSigns = [
  'separates',
  'rices',
  'seizes',
  'loosens',
  'smooth-again',
  'discolours',
] as const
export type TrialSign = (typeof trialSigns)[number]

/** What a supplier says of a scent's pace; null where nothing is said. */
export const paceWords = ['hurries', 'behaves', 'slows'] as const
export type PaceWord = (typeof paceWords)[number]

/** What a supplier says of the bar's colour. */
export const colourClaims = ['pale', 'browns'] as const

/** How strong a jar smells to a nose: nothing, weak, clear, strong. */
export const strengths = [0, 1, 2, 3] as const
export type Strength = (typeof strengths)[number]

/** What a jar smells of besides how strong, in one word. */
export const sniffWords = ['sweet', 'sharp', 'smoky', 'soapy', 'fatty', 'spoiled'] as const
export type SniffWord = (typeof sniffWords)[number]

export const scentKinds = ['fragrance', 'essentialOil', 'blend'] as const
export type ScentKind = (typeof scentKinds)[number]

/** What a maximum on the finished bar is for: sheets count several uses as one. */
export const capUses = ['wash', 'hair', 'shaving', 'face', 'baby', 'household'] as const
export type CapUse = (typeof capUses)[number]

export const codePattern = /^[AEFHKLNTVXYZ47]{3}$/

/** Days after a trial on which its jars want a nose. */
export const noseDays = [1, 14, 30, 60, 90] as const
export type NoseDay = (typeof noseDays)[number]

/** What differs between the pots of a trial besides their scent. */
export const trialVaries = ['nothing', 'rate', 'water'] as const
export type TrialVaries = (typeof trialVaries)[number]

/** What a colour is stirred smooth in before it goes into the batter. */
export const colourCarriers = ['oil', 'water', 'glycerine', 'lye', 'batter'] as const
export type ColourCarrier = (typeof colourCarriers)[number]
/** What a colour does to the lather: nothing, tints it, colours it and what it touches. */
export const bleedWords = ['no', 'tints', 'stains'] as const
export type Bleeds = (typeof bleedWords)[number]
