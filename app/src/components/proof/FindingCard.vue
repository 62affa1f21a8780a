<script setup lang="ts">
import TermLine from '../terms/TermLine.vue';
import { describeFinding, type Command, type Finding, type Units } from '@mivet/core';
import { computed, ref, useId } from 'vue';

const props = defineProps<{
  finding: Finding;
  acceptedFor: string | null;
  unit: Units;
  opened: boolean;
  /** Whether what would mend it is still being tried out. */
  trying?: boolean;
}>();
const emit = defineEmits<{
  toggle: [];
  fix: [command: Command];
  accept: [reason: string];
  withdraw: [];
  go: [stop: 'measure' | 'flat' | 'cut'];
  look: [];
}>();
const id = useId();
const words = computed(() => describeFinding(props.finding, props.unit));
const SEVERITY = { fails: 'Will fail', look: 'Look at this', fine: 'Fine' } as const;
/** Cautions are no defects of the job; they are told all the same. */
const tag = computed(() =>
  props.finding.code === 'hazard' && props.finding.severity === 'fine' ? 'Take care' : SEVERITY[props.finding.severity],
);
const told = computed(() => props.finding.severity !== 'fine' || props.finding.code === 'hazard');
const GO_TO = { measure: 'Go to Measure', flat: 'Check it on paper', cut: 'See the films' } as const;
/** How film lies can be looked at more closely than a forecast does; then it says so. */
const lookWords = computed(() =>
  props.finding.code !== 'wrinkle' ? null : /^(tents|lies)/.test(props.finding.case) ? 'See it laid' : 'Look closer',
);
const asking = ref(false);
const reason = ref('');

function accept(): void {
  if (!reason.value.trim()) return;
  emit('accept', reason.value.trim().slice(0, 200));
  asking.value = false;
  reason.value = '';
}
</script>

<template>
  <article
    class="note-bar"
    :class="acceptedFor !== null ? 'accepted' : tag === 'Take care' ? 'care' : finding.severity"
  >
    <BButton variant="bare" class="head" :aria-expanded="opened" :aria-controls="`${id}-b`" @click="emit('toggle')">
      <span class="tag dims">{{ acceptedFor !== null ? 'Accepted' : tag }}</span>
      <span class="fw-bold">{{ words.title }}</span>
    </BButton>
    <div :id="`${id}-b`">
      <p v-if="opened || (told && acceptedFor === null)">{{ words.why }}</p>
      <TermLine v-if="opened" :text="`${words.title} ${words.why}`" />
      <p v-if="acceptedFor !== null" class="quiet">
        You accepted it: “{{ acceptedFor }}”.
        <BButton variant="link" size="sm" @click="emit('withdraw')">Look at it again</BButton>
      </p>
      <div v-else-if="finding.severity === 'fine' && lookWords" class="acts">
        <BButton size="sm" variant="outline-primary" @click="emit('look')">{{ lookWords }}</BButton>
      </div>
      <div v-else-if="finding.severity !== 'fine'" class="acts">
        <BButton v-if="lookWords" size="sm" variant="outline-primary" @click="emit('look')">{{ lookWords }}</BButton>
        <span v-if="trying" class="quiet small" role="status"><BSpinner small /> Working out fixes…</span>
        <template v-else>
          <BButton
            v-for="(fix, i) in finding.fixes"
            :key="i"
            size="sm"
            variant="outline-primary"
            @click="emit('fix', fix)"
          >
            {{ words.fixes[i] }}
          </BButton>
        </template>
        <BButton
          v-if="finding.goTo && finding.fixes.length === 0"
          variant="outline-primary"
          size="sm"
          @click="emit('go', finding.goTo)"
        >
          {{ GO_TO[finding.goTo] }}
        </BButton>
        <BButton v-if="!asking" variant="link" size="sm" @click="asking = true">Accept it</BButton>
      </div>
      <form v-if="asking && acceptedFor === null" class="mt-2" @submit.prevent="accept">
        <label :for="`${id}-r`" class="quiet small">Why it is all right</label>
        <div class="d-flex gap-2">
          <BFormInput :id="`${id}-r`" v-model="reason" size="sm" maxlength="200" autocomplete="off" />
          <BButton variant="outline-primary" size="sm" type="submit" :disabled="!reason.trim()">Accept</BButton>
        </div>
      </form>
    </div>
  </article>
</template>

<style scoped>
.head {
  display: block;
  border: 0;
  background: none;
  color: inherit;
  text-align: left;
  padding: 0;
  width: 100%;
}
.tag {
  display: block;
  font-size: 0.95rem;
  line-height: 1.2;
}
.fails .tag {
  color: var(--brick);
}
.look .tag {
  color: var(--ochre);
}
.care .tag {
  color: var(--ochre);
}
.fine .tag {
  color: var(--moss);
}
.accepted .tag {
  color: var(--ink-2);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
  margin-top: 0.5rem;
}
</style>
