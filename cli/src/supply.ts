import { supplyOf, type Project, type Supply } from '@mivet/core';

/** The stock that a project file carries; what grows old is judged by today. */
export const carriedSupply = ({ carried }: Pick<Project, 'carried'>): Supply =>
  supplyOf(carried?.stock ?? [], new Date().toISOString().slice(0, 10));
