import { replaceItem } from '../../artwork/sets.ts';
import type { ArtworkItem } from '../../model/item.ts';
import { gapGrowth } from '../../artwork/letter-gaps.ts';
import type { FlatteningChoice } from '../../model/blank.ts';
import { azimuthOfFacing } from '../../layout/place.ts';
import type { Command } from '../../model/command.ts';
import type { Project } from '../../model/project.ts';

/**
 * Carries out a fix.
 *
 * @param project as it is
 * @param command what to change
 * @returns a new project; the same one when the command's item is gone
 */
export function applyCommand(project: Project, command: Command): Project {
  const change = (id: string, edit: (item: ArtworkItem) => ArtworkItem): Project => {
    const item = project.items.find((candidate) => candidate.id === id);
    return item ? { ...project, items: replaceItem(project.items, edit(item)) } : project;
  };
  switch (command.do) {
    case 'move-item':
      return change(command.itemId, (item) => moveItem(item, 0, command.downMm, project));
    case 'turn-item':
      return change(command.itemId, (item) => moveItem(item, command.byDeg, 0, project));
    case 'scale-item':
      return change(command.itemId, (item) => {
        const scaled = scaleItem(item, command.factor);
        if (command.toMiddleMm === undefined) return scaled;
        return { ...scaled, placement: { ...scaled.placement, from: 'middle', mm: command.toMiddleMm } };
      });
    case 'lap-seam':
      return { ...project, seam: { ...project.seam, lapMm: command.mm } };
    case 'fuse-items': {
      const group = command.itemIds.length > 1 ? `group-${command.itemIds[0]}` : null;
      return {
        ...project,
        items: project.items.map((item) =>
          command.itemIds.includes(item.id) ? { ...item, fuse: true, keepTogether: group ?? item.keepTogether } : item,
        ),
      };
    }
    case 'replace-reading': {
      const reading = project.blank.readings[command.reading];
      if (!reading) return project;
      const takes = [{ typed: `${command.mm.toFixed(1)} mm`, mm: command.mm }];
      return {
        ...project,
        blank: { ...project.blank, readings: { ...project.blank.readings, [command.reading]: { ...reading, takes } } },
      };
    }
    case 'choose-board':
      return { ...project, boardId: command.boardId };
    case 'name-box':
      return project.names
        ? { ...project, names: { ...project.names, widthMm: command.widthMm, leastCapMm: command.leastCapMm } }
        : project;
    case 'wander-seam':
      return { ...project, seam: { ...project.seam, way: 'wandering' } };
    case 'split-panels':
      return { ...project, seam: { ...project.seam, panels: command.panels } };
    case 'arrange-anew':
      return change(command.itemId, (item) => {
        const { scatter } = item.repeat;
        if (!scatter) return item;
        const kept = scatter.kept?.filter(({ pinned }) => pinned);
        return { ...item, repeat: { ...item.repeat, scatter: { ...scatter, seed: scatter.seed + 1, ...(kept ? { kept } : {}) } } }; // prettier-ignore
      });
    case 'thicken-item':
      return change(command.itemId, (item) => ({
        ...item,
        acts: { ...item.acts, thickenMm: Math.round((item.acts.thickenMm + command.mm) * 100) / 100 },
      }));
    case 'change-film':
      return {
        ...project,
        items: project.items.map((item) =>
          command.itemIds.includes(item.id) ? { ...item, film: command.film } : item,
        ),
      };
    case 'read-forwards':
      return change(command.itemId, (item) => ({
        ...item,
        mirrored: false,
        repeat: { ...item.repeat, alternate: false },
      }));
    case 'set-hand': {
      const { names } = project;
      if (!names) return project;
      const rows = names.rows.map((row) => (row.id === command.rowId ? { ...row, hand: command.hand } : row));
      return { ...project, names: { ...names, rows } };
    }
    case 'bridge-islands':
      return change(command.itemId, (item) => ({ ...item, acts: { ...item.acts, bridgeMm: command.mm } }));
    case 'refit-mask': {
      const { widthMm, heightMm, placement, repeat } = command;
      return change(command.itemId, (item) =>
        item.type === 'motif' ? { ...item, widthMm, heightMm, placement, repeat } : item,
      );
    }
    case 'both-faces':
      return change(command.itemId, (item) => {
        const scaled = scaleItem(item, command.factor);
        return { ...scaled, placement: { ...scaled.placement, facing: 'faces' } };
      });
    case 'drop-specks':
      return change(command.itemId, (item) => ({ ...item, acts: { ...item.acts, specksMm: command.underMm } }));
    case 'mark-layers': {
      const marks = Object.fromEntries(command.films.map((film) => [film, command.how]));
      return { ...project, stack: { ...project.stack, marks: { ...project.stack.marks, ...marks } } };
    }
    case 'build-stack':
      return { ...project, stack: { ...project.stack, build: command.build } };
    case 'stand-twice':
      return { ...project, stack: { ...project.stack, levels: 'as drawn' } };
    case 'order-films':
      return { ...project, stack: { ...project.stack, order: [...command.films] } };
    case 'bring-up': {
      const item = project.items.find(({ id }) => id === command.itemId);
      return item ? { ...project, items: [...project.items.filter((one) => one !== item), item] } : project;
    }
    case 'close-gaps':
      return change(command.itemId, (item) => {
        if (item.type !== 'text') return item;
        const growth = gapGrowth(item, command.capMm);
        const closer = new Map(command.gaps.map(({ after, mm }) => [after, mm / growth]));
        const kept = item.pairGaps.filter(({ after }) => !closer.has(after));
        const before = (after: number): number =>
          item.pairGaps.reduce((sum, gap) => (gap.after === after ? sum + gap.mm : sum), 0);
        const closed = [...closer].map(([after, mm]) => ({ after, mm: before(after) - mm }));
        return { ...item, pairGaps: [...kept, ...closed], gapsAtMm: item.gapsAtMm ?? command.capMm };
      });
    case 'lay-singly': {
      const singly = new Set(command.itemIds);
      return { ...project, items: project.items.map((item) => (singly.has(item.id) ? { ...item, byItself: true } : item)) }; // prettier-ignore
    }
    case 'slit-item':
      return change(command.itemId, (item) => ({ ...item, slitIn: { count: command.count, deep: command.deep, fromDeg: command.fromDeg } })); // prettier-ignore
    case 'lay-warm':
      return { ...project, warm: true };
    case 'lay-cold':
      return { ...project, warm: false };
    case 'set-font':
      return change(command.itemId, (item) => (item.type === 'text' ? { ...item, font: command.font } : item));
    case 'keep-band':
      return flattenedAs(project, { way: 'band', keep: command.keep });
    case 'one-band':
      return flattenedAs(project, { way: 'band', parts: null });
  }
}

const flattenedAs = (project: Project, change: Partial<FlatteningChoice>): Project => ({
  ...project,
  blank: { ...project.blank, flattening: { ...project.blank.flattening, ...change } },
});

/**
 * Moves an item on the side.
 *
 * @param item what
 * @param byDeg degrees round, right positive
 * @param downMm millimetres towards the base
 * @param project for the hand that a facing depends on
 */
export function moveItem(
  item: ArtworkItem,
  byDeg: number,
  downMm: number,
  project: Pick<Project, 'hand'>,
): ArtworkItem {
  const { placement } = item;
  const now = (azimuthOfFacing(placement.facing, placement.angleDeg, project.hand) * 180) / Math.PI;
  const turned =
    byDeg === 0 ? placement : { ...placement, facing: 'angle' as const, angleDeg: tidyDegrees(now + byDeg) };
  // Two that faced both ways stay two, opposite each other.
  const repeat =
    byDeg !== 0 && placement.facing === 'faces' && item.repeat.mode === 'once'
      ? { ...item.repeat, mode: 'spaced' as const, count: 2 }
      : item.repeat;
  return { ...item, repeat, placement: { ...turned, mm: turned.mm + (placement.from === 'base' ? -downMm : downMm) } };
}

/** Makes an item larger or smaller about its middle. Distances to the rim or base keep counting from its edge. */
export function scaleItem(item: ArtworkItem, factor: number): ArtworkItem {
  if (item.type === 'text')
    return {
      ...item,
      size: item.size.by === 'box' ? { by: 'box', mm: item.size.mm * factor, highMm: item.size.highMm * factor } : { ...item.size, mm: item.size.mm * factor }, // prettier-ignore
      // Gaps that keep their share of the capitals grow by themselves.
      letterGapMm: item.gapsAtMm === null ? item.letterGapMm * factor : item.letterGapMm,
      pairGaps:
        item.gapsAtMm === null ? item.pairGaps.map(({ after, mm }) => ({ after, mm: mm * factor })) : item.pairGaps,
      ring: item.ring && { ...item.ring, acrossMm: item.ring.acrossMm * factor },
    };
  return { ...item, widthMm: item.widthMm * factor, heightMm: item.heightMm === null ? null : item.heightMm * factor };
}

const tidyDegrees = (deg: number): number => deg - 360 * Math.ceil((deg - 180) / 360);
