<script setup lang="ts">
import { ref } from 'vue';
import { useWaits } from '../../stores/waits.ts';

/** Everything that waits, of all projects, on every page: what ends first before the others. */
const waits = useWaits();
const open = ref(false);
</script>

<template>
  <aside v-if="waits.rows.length > 0" class="tray" aria-label="What is waiting">
    <BButton variant="bare" class="first" :aria-expanded="open" @click="open = !open">
      <IBiClock aria-hidden="true" />
      <span class="says">{{ waits.rows[0]!.says }}</span>
      <span class="dims" :class="{ over: waits.rows[0]!.over }">{{ waits.rows[0]!.left }}</span>
      <span v-if="waits.rows.length > 1" class="quiet">+{{ waits.rows.length - 1 }}</span>
    </BButton>
    <ul v-if="open">
      <li v-for="row in waits.rows" :key="`${row.projectId} ${row.stepId}`">
        <RouterLink :to="{ name: 'project', params: { id: row.projectId, stop: 'bench' } }" @click="open = false">
          <span
            >{{ row.says }}<template v-if="row.count > 1">, {{ row.count }} of them</template
            ><template v-else-if="row.thing">, {{ row.thing }}</template></span
          >
          <span class="dims" :class="{ over: row.over }">{{ row.left }}</span>
          <span class="quiet small project">{{ row.project }}</span>
        </RouterLink>
      </li>
    </ul>
  </aside>
</template>

<style scoped>
.tray {
  position: relative;
  border-bottom: 1px solid var(--hairline);
  background: var(--paper-deep);
}
.first {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  width: 100%;
  min-height: 36px;
  padding: 0.2rem 1.25rem;
  text-align: left;
}
.says {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.over {
  color: var(--brick);
  font-weight: 700;
}
ul {
  position: absolute;
  z-index: 1020;
  left: 0;
  right: 0;
  max-width: 30rem;
  max-height: 60vh;
  overflow: auto;
  margin: 0;
  padding: 0;
  list-style: none;
  background: var(--bs-body-bg);
  border: 1px solid var(--hairline);
}
li a {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 1rem;
  padding: 0.6rem 1.25rem;
  min-height: 44px;
  color: inherit;
  text-decoration: none;
  border-bottom: 1px solid var(--hairline);
}
.project {
  grid-column: 1 / -1;
}
@media (pointer: coarse) {
  .first {
    min-height: 44px;
  }
}
</style>
