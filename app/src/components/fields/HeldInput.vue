<script setup lang="ts">
import { nextTick, ref, useAttrs, watch } from 'vue';

/**
 * An input that shows a value without taking away what is being typed: while the project is recomputed, a field that
 * someone is typing in keeps its text until that is entered (`change`) or left. What was refused stays, marked invalid.
 */
const props = defineProps<{ value: string | number }>();
const attrs = useAttrs();
const text = ref(String(props.value));
let typing = false;

watch(
  () => props.value,
  (value) => {
    if (!typing) text.value = String(value);
  },
);
function typed(value: string | number | null): void {
  typing = true;
  text.value = String(value ?? '');
}
async function entered(): Promise<void> {
  typing = false;
  await nextTick();
  const refused = attrs['aria-invalid'] === true || attrs['aria-invalid'] === 'true';
  if (!typing && !refused) text.value = String(props.value);
}
function left(): void {
  if (typing) text.value = String(props.value);
  typing = false;
}
</script>

<template>
  <BFormInput :model-value="text" autocomplete="off" @update:model-value="typed" @change="entered" @blur="left" />
</template>
