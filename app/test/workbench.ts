import type { Project } from '@mivet/core';
import { type DOMWrapper, mount, type VueWrapper } from '@vue/test-utils';
import { createPinia, setActivePinia, type Pinia } from 'pinia';
import { defineComponent, h, nextTick, type Component } from 'vue';
import { createRouter, createMemoryHistory, type Router } from 'vue-router';
import { forgetEverything } from '../src/data/database.ts';
import { useViewModel } from '../src/stores/view-model.ts';
import { useProject } from '../src/stores/project.ts';
import { until } from './until.ts';

/** The dialog of the component library without its transitions: there while it is open. */
const PlainModal = defineComponent({
  props: { modelValue: Boolean },
  setup:
    (props, { slots }) =>
    () =>
      props.modelValue ? h('div', { role: 'dialog' }, [slots['default']?.(), slots['footer']?.()]) : null,
});

/** A project open in stores of its own, with its picture made, and a way to mount parts of the app on it. */
export interface Workbench {
  readonly pinia: Pinia;
  readonly router: Router;
  readonly project: ReturnType<typeof useProject>;
  readonly viewModel: ReturnType<typeof useViewModel>;
  /** Waits until the picture shows the project as it is now. */
  settled(): Promise<void>;
  mount(part: Component, props?: Record<string, unknown>): VueWrapper;
}

/** The bench that was opened before, if its stores may still be at work, and what is mounted on it. */
let before: Workbench | null = null;
const mounted: VueWrapper[] = [];

/** Takes down the bench before: whatever its stores still did would make them the active ones again. */
async function closeBefore(): Promise<void> {
  if (!before) return;
  for (const wrapper of mounted.splice(0)) wrapper.unmount();
  await until(() => !before!.viewModel.busy);
  await before.project.flush();
  // What is still tried out for it stops.
  before.project.doc = null;
}

/** Opens a project. */
export async function openWorkbench(document: Project): Promise<Workbench> {
  await closeBefore();
  await forgetEverything();
  localStorage.clear();
  sessionStorage.clear();
  const pinia = createPinia();
  setActivePinia(pinia);
  const nothing = { template: '<i />' };
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/', name: 'projects', component: nothing },
      { path: '/stock', name: 'stock', component: nothing },
      { path: '/logbook', name: 'logbook', component: nothing },
      { path: '/shelf', name: 'shelf', component: nothing },
      { path: '/together', name: 'together', component: nothing },
      { path: '/project/:id/:stop', name: 'project', component: nothing },
    ],
  });
  const project = useProject();
  await project.ready();
  project.doc = document;
  const viewModel = useViewModel();
  const settled = async (): Promise<void> => {
    await nextTick();
    await until(() => viewModel.viewModel !== null && !viewModel.busy);
    await nextTick();
  };
  await settled();
  before = {
    pinia,
    router,
    project,
    viewModel,
    settled,
    mount: (part, props = {}) => {
      const wrapper = mount(part as never, {
        props: props as never,
        attachTo: window.document.body,
        global: {
          plugins: [pinia, router],
          stubs: { IBiCheckLg: true, IBiX: true, BModal: PlainModal, BOffcanvas: PlainModal },
        },
      }) as unknown as VueWrapper;
      mounted.push(wrapper);
      return wrapper;
    },
  };
  return before;
}

/** Presses the button with this label, as soon as it is there. */
export async function press(wrapper: VueWrapper, label: string | RegExp): Promise<void> {
  const find = (): DOMWrapper<Element> | undefined =>
    wrapper
      .findAll('button, .choice label')
      .find((b) => (typeof label === 'string' ? b.text() === label : label.test(b.text())));
  const button = find() ?? (await until(find).catch(() => null));
  if (!button) throw new Error(`No button “${String(label)}” among: ${wrapper.findAll('button').map((b) => b.text())}`);
  await button.trigger('click');
}
