<script setup lang="ts">
import { MOTIF_IDS, MOTIFS, type MotifId, type OwnMotif } from '@mivet/core';
import { computed, ref } from 'vue';
import MotifDrawing from './MotifDrawing.vue';

/** Motifs that ship with Mivet and those that the person keeps; looked for by name, and by where they are from. */
const props = defineProps<{ own: readonly OwnMotif[] }>();
const emit = defineEmits<{ motif: [id: MotifId]; own: [motif: OwnMotif]; forget: [motif: OwnMotif] }>();

const shipped = MOTIF_IDS.map((id) => ({ id, label: MOTIFS[id].label }));
/** The first ones, all of them, or those that are looked for. */
const FEW = 8;
const FEW_OWN = 4;
const all = ref(false);
const sought = ref('');
const forgetting = ref<string | null>(null);
const wanted = computed(() => sought.value.trim().toLowerCase());
const offered = computed(() => {
  if (wanted.value) return shipped.filter(({ label }) => label.toLowerCase().includes(wanted.value));
  return all.value ? shipped : shipped.slice(0, FEW);
});
const offeredOwn = computed(() => {
  const found = props.own.filter(({ name, source }) => `${name}\n${source}`.toLowerCase().includes(wanted.value));
  return all.value || wanted.value ? found : found.slice(0, FEW_OWN);
});
const RIGHTS = { own: 'made by you', allowed: 'you may use it', unsure: 'ask whether you may use it' };
const about = ({ name, source, rights }: OwnMotif): string =>
  `${name}${source ? `, from ${source}` : ''}; ${RIGHTS[rights]}`;
</script>

<template>
  <section aria-label="Motifs">
    <div class="d-flex align-items-center justify-content-between gap-2 mt-3 mb-1">
      <span class="quiet">A motif</span>
      <BFormInput
        v-model="sought"
        size="sm"
        type="search"
        class="w-50"
        placeholder="Search"
        aria-label="Find a motif"
      />
    </div>
    <div class="motifs">
      <span v-for="m in offeredOwn" :key="m.id" class="own">
        <BButton variant="bare" :title="about(m)" @click="emit('own', m)">
          <MotifDrawing :of="m" class="picture" />
          <span class="name">{{ m.name }}</span>
        </BButton>
        <BButton
          variant="bare"
          class="forget"
          :class="{ sure: forgetting === m.id }"
          :aria-label="forgetting === m.id ? `Yes, delete ${m.name}` : `Delete ${m.name}`"
          @click="forgetting === m.id ? emit('forget', m) : (forgetting = m.id)"
          @blur="forgetting = null"
        >
          {{ forgetting === m.id ? 'Delete it' : '×' }}
        </BButton>
      </span>
      <BButton v-for="m in offered" :key="m.id" variant="bare" @click="emit('motif', m.id)">
        <MotifDrawing :of="m.id" class="picture" />
        {{ m.label }}
      </BButton>
    </div>
    <p v-if="offered.length + offeredOwn.length === 0" class="quiet small">No motif matches.</p>
    <BButton v-if="!wanted && !all" variant="link" size="sm" class="p-0 mt-2" @click="all = true">
      All {{ shipped.length + own.length }} motifs
    </BButton>
  </section>
</template>

<style scoped>
.motifs {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 0.5rem;
}
.motifs > button,
.own > button:first-child {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 0.25rem;
  width: 100%;
  border: 1px solid var(--hairline);
  border-radius: 3px;
  background: none;
  color: var(--ink);
  padding: 0.5rem 0.2rem 0.35rem;
  font-size: 0.875rem;
}
.motifs button:hover {
  border-color: var(--teal);
}
.own {
  position: relative;
  min-width: 0;
}
.own .name {
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.forget {
  position: absolute;
  top: 0;
  right: 0;
  border: 0;
  background: var(--slip);
  color: var(--ink-2);
  font-size: 0.8rem;
  line-height: 1;
  padding: 0.2rem 0.3rem;
  opacity: 0;
}
.own:hover .forget,
.forget:focus-visible {
  opacity: 1;
}
@media (hover: none) {
  .forget {
    opacity: 1;
  }
}
.forget.sure {
  color: var(--brick);
}
.picture {
  height: 40px;
  width: 100%;
}
</style>
