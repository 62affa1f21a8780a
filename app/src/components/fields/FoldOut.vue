<script setup lang="ts">
/** Something that is folded away until it is asked for: its title is pressed to show it, and again to hide it. */
defineProps<{ title: string }>();
const open = defineModel<boolean>('open', { default: false });
</script>

<template>
  <BAccordion flush free>
    <BAccordionItem v-model="open" :title="title" header-tag="h3"><slot /></BAccordionItem>
  </BAccordion>
</template>
