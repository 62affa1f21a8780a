import {
  backSeam,
  describeBlankProblem,
  filmGive,
  STARTING_MATERIALS,
  layThickness,
  PLAIN_SEAM,
  makePanels,
  makeTemplate,
  sizeBlank,
  taperOf,
  wrapFilm,
} from '@mivet/core';
import { loadDocument, takeOption } from '../input/files.ts';
import { BadInput, type CommandLine } from '../input/command.ts';

/** Writes a blank's template as JSON: outline with true arcs, radii, angle, bounds and strain, all mm and radians. */
export const flatten: CommandLine = (args, { out }) => {
  const { value, rest } = takeOption(args, '--film');
  const film = value === null ? 0 : Number(value);
  if (!(film >= 0 && film <= 3)) throw new BadInput(`--film ${value} is not a thickness between 0 and 3 mm.`);
  const document = loadDocument(rest[0]);
  if (document.format !== 'mivet-project' && document.format !== 'mivet-blank')
    throw new BadInput(`${rest[0]} is a ${document.format.replace('mivet-', '')}; name a blank or a project.`);
  const { blank } = document;
  const sized = sizeBlank(blank);
  if (!sized.ok) throw new BadInput(describeBlankProblem(sized.problem, 'mm'));
  const seam = document.format === 'mivet-project' ? document.seam : PLAIN_SEAM;
  const finish = document.format === 'mivet-project' ? wrapFilm(document)?.finish : undefined;
  const warm = document.format === 'mivet-project' && document.warm;
  const { template, surface } = makeTemplate(
    blank,
    sized.size,
    layThickness(blank, film),
    seam,
    filmGive(STARTING_MATERIALS, finish ?? 'gloss permanent', warm),
  );
  const size = { ...sized.size, side: surface.slantLength };
  const { sector, shortcuts, cone, region, outline, holes, bounds, flattening } = template;
  const { way, parts, load, worst, cutDown, widest, options, map } = flattening;
  const round = {
    girthRim: cone.girthRim,
    girthBase: cone.girthBase,
    side: cone.side,
    upright: size.upright,
    halfAngle: Math.asin(taperOf(cone)),
    sectorAngle: sector.angle,
    apexRadiusRim: sector.apexRadiusRim,
    apexRadiusBase: sector.apexRadiusBase,
    rimLength: template.rimLength,
    baseLength: template.baseLength,
    corners: {
      rimLeft: surface.forward(region.left[0], 0),
      rimRight: surface.forward(region.right[0], 0),
      baseLeft: surface.forward(region.left[1], cone.side),
      baseRight: surface.forward(region.right[1], cone.side),
    },
    straightSidedTemplate: { missesRimBy: shortcuts.trapezoidRim, opensSeamBy: shortcuts.trapezoidSeam },
  };
  const result = {
    units: { length: 'mm', angle: 'rad' },
    blank: blank.name,
    kind: blank.kind,
    filmThickness: film,
    ...(template.closed ? round : { width: template.rimLength, height: size.side }),
    outline,
    holes,
    bounds,
    strain: {
      hoop: worst?.strain ?? 0,
      along: 0,
      shear: 0,
      at: worst?.at ?? null,
      map: map?.samples ?? [],
      load,
    },
    way,
    parts,
    options,
    endBandAt: cutDown,
    widestFlat: widest,
    panels:
      parts > 1
        ? makePanels(size, layThickness(blank, film), template, surface, backSeam(template)).flats.map((panel) => ({
            name: panel.name,
            outlines: panel.outlines,
            bounds: panel.bounds,
          }))
        : [],
  };
  out(`${JSON.stringify(result, null, 2)}\n`);
  return 0;
};
