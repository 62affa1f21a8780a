import type { Thing } from '../../bench/job-facts.ts';
import { stopsOf, tickOf, titleOnOne, waitOf } from '../../bench/run.ts';
import { waitText } from '../../bench/steps.ts';
import type { PictureInput } from '../../present/step-pictures.ts';
import type { StepPicture } from '../../present/step-picture.ts';
import { stepPictures } from '../../present/step-pictures.ts';
import { pictureSvg } from './picture-svg.ts';
import { RUNNER, RUNNER_CSS } from './runner.ts';

/** What is written into a file that is taken along. */
export interface TakeAlong extends PictureInput {
  /** ISO. */
  readonly writtenAt: string;
  /** What its results file is called. */
  readonly fileName: string;
}

/** Text as it may stand between tags and in quotes. */
const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

/**
 * A run as one file that works by itself, without a network: steps with their pictures, timers, ticks, notes and
 * photographs; what is done there is saved as a results file.
 */
export function writeTakeAlong({ writtenAt, fileName, ...input }: TakeAlong): string {
  const { project, examined, habits } = input;
  const drawn = new Map<string, number[]>();
  /** Every picture once, however many stops show it. */
  const pictures: { readonly svg: string; readonly says: string }[] = [];
  const place = new Map<string, number>();
  const kept = (picture: StepPicture): number => {
    const svg = pictureSvg(picture, project.films);
    const known = place.get(svg);
    if (known !== undefined) return known;
    place.set(svg, pictures.length);
    return pictures.push({ svg, says: picture.says }) - 1;
  };
  /** Pictures of a step are drawn once for all things that are made alike. */
  const picturesOf = (stepId: string, thing: Thing | null): number[] => {
    const key = `${stepId} ${thing?.row ?? ''}`;
    const step = examined.steps.find(({ id }) => id === stepId)!;
    const known = drawn.get(key) ?? stepPictures(step, thing, input).map(kept);
    drawn.set(key, known);
    return known;
  };
  const stops = stopsOf(examined.steps, examined.things, habits.batch).map((stop) => {
    const { step, thing, nth, of } = stop;
    const which = thing && of > 1 ? `${nth} of ${of}${thing.name ? ` · ${thing.name}` : ''}` : null;
    return {
      id: step.id,
      tick: tickOf(step.id, thing?.id ?? null),
      wait: waitOf(stop, habits.batch),
      thing: thing?.id ?? null,
      nth: examined.steps.indexOf(step) + 1,
      which,
      title: which ? titleOnOne(step) : step.title,
      body: step.body,
      why: step.why,
      caution: step.caution,
      check: step.check,
      list: step.list,
      waitMinutes: step.waitMinutes,
      waitWords: waitText(step.waitMinutes),
      pictures: picturesOf(step.id, thing),
    };
  });
  const data = {
    projectId: project.id,
    project: project.name,
    writtenAt,
    fileName,
    steps: examined.steps.length,
    done: project.bench.doneSteps,
    stops,
    pictures,
  };
  // Nothing in the data can end the element that it stands in.
  const json = JSON.stringify(data).replaceAll('<', '\\u003c').replaceAll('\u2028', '\\u2028').replaceAll('\u2029', '\\u2029'); // prettier-ignore
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'; script-src 'unsafe-inline'; img-src data: blob:">
<title>${escaped(project.name)}: at the bench</title>
<style>${RUNNER_CSS}</style>
</head>
<body>
<header><span>${escaped(project.name)}</span><span id="where"></span><span id="timer" role="status"></span></header>
<main><div id="card"></div><p id="kept" role="alert"></p><button type="button" id="save">Save the results</button>
<p class="quiet">Open the results file in Mivet, at this project. Labels of film, tape and blank, local codes and trained people come first.</p></main>
<footer><button type="button" id="back">Back</button><button type="button" id="next">Done, next</button></footer>
<script type="application/json" id="data">${json}</script>
<script>${RUNNER}</script>
</body>
</html>
`;
}
