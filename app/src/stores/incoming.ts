import { describeDrawingProblem, type Drawing } from '@mivet/core';
import { defineStore } from 'pinia';
import { ref, shallowRef, watch } from 'vue';
import { openImage, type OpenedImage } from '../data/pixels.ts';
import { askCore, TookTooLong } from '../workers/core-client.ts';
import { base64Of } from '../data/base64.ts';
import type { FontSample } from '../workers/protocol.ts';
import { useFilms } from './films.ts';
import { useProject } from './project.ts';

/** ms. A drawing or a font that takes longer to read is stopped. */
export const LONGEST_MS = 8000;
/** Bytes. A font with many scripts may have as much. */
const LARGEST_FONT = 8_000_000;

/** A drawing that was read and waits to be placed. */
export interface IncomingDrawing {
  /** Another each time that something is brought in: of two drawings of one name nothing is mixed up. */
  readonly id: string;
  readonly name: string;
  readonly drawing: Drawing;
  /** The lines themselves as film, where the drawing is of hairlines and taken for what they enclose; null otherwise. */
  readonly asDrawn: Drawing | null;
  /** Film of each colour, matched all at once; null when there is none. */
  readonly matches: readonly (string | null)[];
}

/** A picture that was opened and whose outlines are being found. */
export interface IncomingImage extends OpenedImage {
  readonly name: string;
}

/** A font that was read and waits to be kept. */
export interface IncomingFont {
  readonly id: string;
  readonly name: string;
  readonly data: string;
  readonly sample: FontSample;
}

/** px. Longest edge at which outlines are found. */
const TRACED_PX = 2400;

/** What was brought in and is not placed yet. */
export const useIncoming = defineStore('incoming', () => {
  const drawing = shallowRef<IncomingDrawing | null>(null);
  const image = shallowRef<IncomingImage | null>(null);
  const font = shallowRef<IncomingFont | null>(null);
  const busy = ref(false);

  /** Reads a font file; what is known of it is asked for on the Artwork stop before it is kept. */
  async function bringInFont(file: File): Promise<string> {
    if (!useProject().doc) return `${file.name} is a font. Open a project first, then drop it there.`;
    if (file.size > LARGEST_FONT) return `${file.name} is larger than ${LARGEST_FONT / 1e6} MB. Nothing was changed.`;
    busy.value = true;
    try {
      const bytes = new Uint8Array(await file.arrayBuffer());
      const sample = await askCore('font', { bytes }, { limitMs: LONGEST_MS });
      font.value = {
        id: crypto.randomUUID(),
        name: sample.name || file.name.replace(/\.\w+$/, ''),
        data: base64Of(bytes),
        sample,
      };
      return `${file.name} is a font. It waits on the Artwork stop.`;
    } catch (problem) {
      return `${file.name}: ${problem instanceof Error ? problem.message : 'It could not be read.'} Nothing was changed.`;
    } finally {
      busy.value = false;
    }
  }

  /** Reads a drawing and says what came of it; it then waits on the Artwork stop. */
  async function bringIn(fileName: string, text: string): Promise<string> {
    const project = useProject();
    if (!project.doc) return `${fileName} is a drawing. Open a project first, then drop it there.`;
    busy.value = true;
    try {
      const { result, matches } = await askCore(
        'drawing',
        { text, films: useFilms().unasked },
        { limitMs: LONGEST_MS },
      );
      if (!result.ok) return `${fileName}: ${describeDrawingProblem(result.problem)} Nothing was changed.`;
      const name = fileName.replace(/\.(svg|dxf)$/i, '').slice(0, 120) || 'Drawing';
      drawing.value = { id: crypto.randomUUID(), name, drawing: result.drawing, asDrawn: result.asDrawn, matches };
      const count = result.drawing.colours.length;
      return `${fileName} is a drawing in ${count === 1 ? 'one colour' : `${count} colours`}. It waits on the Artwork stop.`;
    } catch (problem) {
      if (problem instanceof TookTooLong)
        return `${fileName}: It has so many lines or shapes over each other that reading it takes longer than ${LONGEST_MS / 1000} s. Join them where it was drawn, or save it in parts. Nothing was changed.`;
      return `${fileName}: ${problem instanceof Error ? problem.message : 'It could not be read.'} Nothing was changed.`;
    } finally {
      busy.value = false;
    }
  }
  /** Opens a picture; its outlines are then found on the Artwork stop. */
  async function bringInImage(file: Blob, fileName: string): Promise<string> {
    if (!useProject().doc) return `${fileName} is a picture. Open a project first, then drop it there.`;
    busy.value = true;
    try {
      const opened = await openImage(file, fileName, TRACED_PX);
      leaveImage();
      image.value = { ...opened, name: fileName.replace(/\.\w+$/, '').slice(0, 120) || 'Picture' };
      return `${fileName} is a picture. Its outlines wait on the Artwork stop.`;
    } catch (problem) {
      return problem instanceof Error ? problem.message : `${fileName} could not be read. Nothing was changed.`;
    } finally {
      busy.value = false;
    }
  }
  function leaveImage(): void {
    if (image.value) URL.revokeObjectURL(image.value.url);
    image.value = null;
  }
  /** Outlines that were found in a picture go on as a drawing. */
  function takeTrace(name: string, traced: Drawing, matches: readonly (string | null)[]): void {
    drawing.value = { id: crypto.randomUUID(), name, drawing: traced, asDrawn: null, matches };
    leaveImage();
  }
  // In another project it is matched with the films that are offered there.
  watch(
    () => useProject().doc?.id,
    async (id) => {
      const waits = drawing.value;
      if (!id || !waits) return;
      const { filmIdsFor } = await import('@mivet/core/drawings');
      const colours = waits.drawing.colours.map(({ colour }) => colour);
      if (drawing.value === waits) drawing.value = { ...waits, matches: filmIdsFor(colours, useFilms().unasked, true) };
    },
  );
  return { drawing, image, font, busy, bringInFont, bringIn, bringInImage, leaveImage, takeTrace };
});
