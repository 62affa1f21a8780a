<script setup lang="ts">
import { formatLength, solidOf, type BlankSize, type Box, type Template, type Units } from '@mivet/core';
import { computed } from 'vue';

/** The template's sizes, those that a person checks it by. */
const props = defineProps<{ template: Template; size: BlankSize; unit: Units; pieces: number; piece: Box }>();
const mm = (v: number): string => formatLength(v, props.unit);
const lines = computed((): [string, string][] => {
  const { template, size } = props;
  const { face } = solidOf(size);
  const [width, height] = [mm(template.cone.girthRim), mm(template.cone.side)];
  if (face?.patch && props.pieces === 1) return [['Across the patch', width]];
  if (face?.round && !face.patch)
    return [
      ['Across', width],
      ...(face.hole
        ? ([
            ['Hole across', mm(face.hole.across)],
            ['Hole above the middle', mm(face.hole.up)],
          ] as [string, string][])
        : []),
    ];
  if (face && !face.patch)
    return [
      ['Width', width],
      ['Height', height],
    ];
  const { sector } = template;
  const arcs: [string, string][] =
    sector.apexRadiusRim === null || Math.abs(size.taper) < 1e-9
      ? []
      : [
          ['Rim arc’s radius', mm(sector.apexRadiusRim)],
          ['Base arc’s radius', mm(sector.apexRadiusBase!)],
          ['Sector angle', `${((sector.angle * 180) / Math.PI).toFixed(2)}°`],
        ];
  if (props.pieces > 1)
    return [
      ['Pieces', String(props.pieces)],
      ...((template.flattening.way === 'gores'
        ? [
            ['Width of each', mm(props.piece.maxX - props.piece.minX)],
            ['Length of each', mm(props.piece.maxY - props.piece.minY)],
          ]
        : [['Down the side', mm(size.side)]]) as [string, string][]),
    ];
  return [
    ['Rim edge', mm(template.rimLength)],
    ['Base edge', mm(template.baseLength)],
    ...(template.lap > 0 ? ([['of which for the lap', mm(template.lap)]] as [string, string][]) : []),
    ['Down the side', mm(size.side)],
    ...arcs,
  ];
});
</script>

<template>
  <div v-for="[name, value] in lines" :key="name" class="row-line">
    <span>{{ name }}</span><span class="dims">{{ value }}</span>
  </div>
</template>
