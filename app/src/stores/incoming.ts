import { describeDrawingProblem, type Drawing } from '@mivet/core';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { askCore } from '../workers/core-client.ts';
import { useProject } from './project.ts';

/** ms. A drawing that takes longer to read is stopped. */
const LONGEST_MS = 8000;

/** A drawing that was read and waits to be placed. */
export interface IncomingDrawing {
  readonly name: string;
  readonly drawing: Drawing;
  /** Film of each colour, matched all at once; null when there is none. */
  readonly matches: readonly (string | null)[];
}

/** What was brought in and is not placed yet. */
export const useIncoming = defineStore('incoming', () => {
  const drawing = shallowRef<IncomingDrawing | null>(null);
  const busy = ref(false);

  /** Reads a drawing and says what came of it; it then waits on the Artwork stop. */
  async function bringIn(fileName: string, text: string): Promise<string> {
    const project = useProject();
    if (!project.doc) return `${fileName} is a drawing. Open a project first, then drop it there.`;
    busy.value = true;
    try {
      const { result, matches } = await askCore('drawing', { text, films: project.doc.films }, LONGEST_MS);
      if (!result.ok) return `${fileName}: ${describeDrawingProblem(result.problem)} Nothing was changed.`;
      const name = fileName.replace(/\.svg$/i, '').slice(0, 120) || 'Drawing';
      drawing.value = { name, drawing: result.drawing, matches };
      const count = result.drawing.colours.length;
      return `${fileName} is a drawing in ${count === 1 ? 'one colour' : `${count} colours`}. It waits on the Artwork stop.`;
    } catch (problem) {
      return `${fileName}: ${problem instanceof Error ? problem.message : 'It could not be read.'} Nothing was changed.`;
    } finally {
      busy.value = false;
    }
  }
  return { drawing, busy, bringIn };
});
