<script setup lang="ts">
import { isMetAt, type Mend, type StepKind } from '@mivet/core';
import { computed, ref, watch } from 'vue';

/** When it goes wrong: what to do now, what to do the next time, and the number that changes with it. */
const props = defineProps<{
  open: boolean;
  kind: StepKind;
  mends: readonly Mend[];
  /** The thing that can be made again, if one, by its name. */
  thing: string | null;
}>();
const emit = defineEmits<{
  close: [];
  /** Written into the log, with or without the change. */
  take: [mend: Mend, withChange: boolean];
  again: [why: string];
}>();
const chosen = ref<string | null>(null);
const took = ref<string | null>(null);
watch(
  () => props.open,
  () => {
    chosen.value = null;
    took.value = null;
  },
);
const here = computed(() => props.mends.filter(({ id }) => isMetAt(id, props.kind)));
const others = computed(() => props.mends.filter(({ id }) => !isMetAt(id, props.kind)));
const more = ref(false);
const mend = computed(() => props.mends.find(({ id }) => id === chosen.value) ?? null);
function take(one: Mend, withChange: boolean): void {
  emit('take', one, withChange);
  took.value = withChange
    ? `Changed: ${one.change!.what.toLowerCase()}, ${one.change!.before} → ${one.change!.after}. It is in the log; Undo takes it back.`
    : 'It is in the log.';
}
</script>

<template>
  <BOffcanvas
    :model-value="open"
    placement="end"
    title="When it goes wrong"
    class="mends"
    @update:model-value="(shown) => shown || emit('close')"
  >
    <template v-if="!mend">
      <p class="quiet">What happened?</p>
      <ul>
        <li v-for="one in here" :key="one.id">
          <BButton variant="outline-primary" class="what" @click="chosen = one.id">{{ one.title }}</BButton>
        </li>
      </ul>
      <BButton v-if="!more && here.length > 0 && others.length > 0" variant="link" class="what" @click="more = true">
        Something else
      </BButton>
      <ul v-if="more || here.length === 0">
        <li v-for="one in others" :key="one.id">
          <BButton variant="outline-primary" class="what" @click="chosen = one.id">{{ one.title }}</BButton>
        </li>
      </ul>
    </template>
    <template v-else>
      <h2>{{ mend.title }}</h2>
      <h3>Now</h3>
      <p>{{ mend.now }}</p>
      <h3>Next time</h3>
      <p>{{ mend.next }}</p>
      <template v-if="!took">
        <BButton v-if="mend.change" variant="primary" class="what" @click="take(mend, true)">
          {{ mend.change.what }}: {{ mend.change.before }} → {{ mend.change.after }}
        </BButton>
        <BButton variant="outline-primary" class="what" @click="take(mend, false)">Only note it in the log</BButton>
      </template>
      <p v-else role="status">{{ took }}</p>
      <BButton v-if="mend.again && thing" variant="outline-primary" class="what" @click="emit('again', mend.title)">
        Make {{ thing }} again
      </BButton>
      <BButton variant="link" class="what" @click="chosen = null">Something else happened</BButton>
    </template>
  </BOffcanvas>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
.what {
  display: block;
  width: 100%;
  min-height: 48px;
  text-align: left;
  margin-bottom: 0.5rem;
}
h3 {
  font-size: 1rem;
  margin: 1rem 0 0.2rem;
}
</style>
