<script setup lang="ts">
import notices from '../../../NOTICES.md?raw';
import { version } from '../../package.json';
import FoldOut from '../components/fields/FoldOut.vue';
import { useStorageRoom } from '../composables/useStorageRoom.ts';
import { packagesOf } from '../components/help/licences.ts';

const packages = packagesOf(notices);
const FIELDS = [
  { key: 'name', label: 'Package or font', sortable: true },
  { key: 'version', label: 'Version' },
  { key: 'licence', label: 'Licence', sortable: true },
];
const { used, held } = useStorageRoom();
</script>

<template>
  <div class="page">
    <h1>About Mivet</h1>
    <p>
      Mivet measures a curved thing, lays its surface flat, fits artwork to it and helps your hands until it is done.
      Version <span class="dims">{{ version }}</span>.
    </p>
    <section>
      <h2>Where your data lives</h2>
      <p>
        In this browser, on this device: projects, blanks, stock, fonts and photos are kept in its own database. Nothing
        is sent anywhere. The server that you started hands out these pages and speaks with a cutter on your line; it
        keeps no projects.
      </p>
      <p v-if="used !== null">
        They take <span class="dims">{{ used }}</span>.
        <template v-if="held === false">
          The browser may clear them when the disk is full, so keep a backup as well.
        </template>
      </p>
      <p>
        Another browser or device does not see them. A backup file carries everything over, and is what helps if this
        device is lost: <RouterLink :to="{ name: 'my-way' }">My way</RouterLink>.
      </p>
    </section>
    <section>
      <h2>What it can and cannot promise</h2>
      <p>
        Templates are worked out from your readings; each project says by how much they may miss. Labels, local rules
        and trained people come before anything that Mivet says about chemicals, heat, glass or helium.
      </p>
    </section>
    <section>
      <h2>Licences</h2>
      <p>Mivet is under the MIT licence. It ships with these, each under its own:</p>
      <BTable :items="packages" :fields="FIELDS" small responsive sticky-header="24rem" />
      <FoldOut title="Their full texts">
        <pre class="small">{{ notices }}</pre>
      </FoldOut>
    </section>
  </div>
</template>

<style scoped>
.page {
  max-width: 46rem;
  margin: 0 auto;
  padding: 1.75rem 1.25rem 3rem;
}
pre {
  max-height: 28rem;
  overflow: auto;
  white-space: pre-wrap;
}
section {
  margin-top: 1.75rem;
}
</style>
