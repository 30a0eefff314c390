<script setup lang="ts">
import type { RichNode, RichText } from '#contracts/richText'
import { h, type VNodeChild } from 'vue'

/** A formatted note, to be read. */
const { text } = defineProps<{ text: RichText }>()

const tags = { bold: 'strong', italic: 'em', strike: 's' } as const
function lineOf(line: Extract<RichNode, { type: 'paragraph' }>['content']): VNodeChild[] {
  return (line ?? []).map((part): VNodeChild => {
    if (part.type === 'hardBreak') return h('br')
    return (part.marks ?? []).reduce<VNodeChild>(
      (inner, mark) =>
        mark.type === 'link'
          ? h(
              'a',
              {
                href: mark.attrs.href,
                class: 'link',
                target: '_blank',
                rel: 'noopener noreferrer',
              },
              [inner],
            )
          : h(tags[mark.type], [inner]),
      part.text,
    )
  })
}
const blocks = {
  bulletList: ['ul', 'list-disc pl-5'],
  orderedList: ['ol', 'list-decimal pl-5'],
  listItem: ['li', ''],
  blockquote: ['blockquote', 'border-l-4 border-line-3 pl-3'],
} as const
function nodeOf(node: RichNode): VNodeChild {
  switch (node.type) {
    case 'paragraph':
      return h('p', lineOf(node.content))
    case 'heading':
      return h(
        node.attrs.level === 2 ? 'h3' : 'h4',
        { class: 'text-[16px] font-bold not-italic' },
        lineOf(node.content),
      )
    default: {
      const [tag, look] = blocks[node.type]
      return h(tag, { class: look }, node.content.map(nodeOf))
    }
  }
}
const Body = () => text.content.map(nodeOf)
</script>

<template>
  <div class="typed grid gap-1.5"><Body /></div>
</template>
