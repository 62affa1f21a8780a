<script setup lang="ts">
/** The hatch that marks strain past what the film gives; goes into the definitions of a drawing. */
defineProps<{ scale: number }>();
</script>

<template>
  <pattern
    id="hatch-strain"
    width="5"
    height="5"
    patternUnits="userSpaceOnUse"
    :patternTransform="`scale(${1 / scale}) rotate(35)`"
  >
    <path d="M0 0V5" stroke="var(--hatch)" stroke-width="1" opacity="0.7" />
  </pattern>
</template>
