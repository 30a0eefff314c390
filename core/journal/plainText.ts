import type { RichLine, RichNode, RichText } from '#contracts/richText'

const lineText = (line: RichLine | undefined): string =>
  (line ?? []).map((part) => (part.type === 'text' ? part.text : '\n')).join('')

const nodeText = (node: RichNode): string =>
  node.type === 'paragraph' || node.type === 'heading'
    ? lineText(node.content)
    : node.content.map(nodeText).join('\n')

/**
 * A formatted note as plain lines.
 * @example plainText(richText('Cut late.')) // 'Cut late.'
 */
export const plainText = ({ content }: RichText): string => content.map(nodeText).join('\n').trim()

/**
 * Plain lines as a note: each a paragraph.
 * @example richText('One\nTwo').content.length // 2
 */
export const richText = (text: string): RichText => ({
  type: 'doc',
  content: text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
    .map((line) => ({ type: 'paragraph', content: [{ type: 'text', text: line }] })),
})
