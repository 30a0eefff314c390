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

/** How strong a jar smells to a nose: nothing, weak, clear, strong. */
export const strengths = [0, 1, 2, 3] as const
export type Strength = (typeof strengths)[number]
