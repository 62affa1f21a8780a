import { glanceHalfAngleOn, zonesOfBlank } from '@mivet/core';
import { computed, type ComputedRef } from 'vue';
import { useViewModel } from '../stores/view-model.ts';
import { useProject } from '../stores/project.ts';
import { useSettings } from '../stores/settings.ts';
import { useView } from '../stores/view.ts';

/** What is drawn over both pictures: zones in mm, lines as azimuths. */
export interface DrawnZones {
  readonly rim: number;
  readonly base: number;
  readonly handle: number;
  readonly handleWidth: number;
  readonly seam: boolean;
  /** Whether the strain is painted. */
  readonly strain: boolean;
  readonly slits: boolean;
  /** Azimuths of the edges of one glance, or null when hidden. */
  readonly glance: readonly [number, number] | null;
}

/** Zones of the open project as the views draw them. */
export function useZones(): ComputedRef<DrawnZones> {
  const project = useProject();
  const viewModel = useViewModel();
  const view = useView();
  const settings = useSettings();
  return computed(() => {
    const blank = project.doc!.blank;
    const zones = view.showZones ? zonesOfBlank(blank, viewModel.shape?.size ?? null) : { rim: 0, base: 0, handle: 0 };
    const selected = viewModel.shape?.items.find((i) => i.itemId === view.selectedId);
    const centre = selected?.azimuth ?? 0;
    const half = glanceHalfAngleOn(blank, viewModel.shape?.meanRadius ?? 40, centre, settings.judgedBy);
    return {
      ...zones,
      handleWidth: blank.handleWidthMm,
      seam: view.showSeam && (viewModel.shape?.template.closed ?? true),
      strain: view.showStrain,
      slits: view.showSlits,
      glance:
        view.showGlance && (viewModel.shape?.template.closed ?? true)
          ? ([centre - half, centre + half] as const)
          : null,
    };
  });
}
