import { rgb } from '@cantoo/pdf-lib';
import type { StepPicture } from '../../present/step-picture.ts';
import type { Flow } from './flow.ts';

/** pt. A picture is drawn no higher, and no wider, than this. */
const [MOST_HIGH, MOST_WIDE] = [120, 260];

/** How high a picture comes out on paper, pt. */
export function pictureHeight({ box }: StepPicture): number {
  const [wide, high] = [box.maxX - box.minX, box.maxY - box.minY];
  return high * Math.min(MOST_HIGH / high, MOST_WIDE / wide);
}

/** Draws a picture of a step in grey and black, as printers have it. */
export function drawPicture(flow: Flow, picture: StepPicture, indent: number): void {
  const { box, shapes, texts } = picture;
  const [wide, high] = [box.maxX - box.minX, box.maxY - box.minY];
  const scale = Math.min(MOST_HIGH / high, MOST_WIDE / wide);
  flow.keep(high * scale + 8);
  flow.leave(4);
  const [left, top] = [flow.margin + indent, flow.y];
  const ink = rgb(0, 0, 0);
  const origin = { x: left - box.minX * scale, y: top + box.minY * scale };
  const grey = { film: 0.72, ghost: 0.88, body: 0.95, handle: 0.9, pressed: 0.6, square: 0 } as const;
  for (const { role, data } of shapes) {
    if (role === 'sheet') continue;
    const fill = role in grey ? grey[role as keyof typeof grey] : null;
    flow.page.drawSvgPath(data, {
      ...origin,
      scale,
      borderWidth: (role === 'arrow' || role === 'slit' || role === 'air' ? 1.3 : 0.5) / scale,
      borderColor: ink,
      ...(fill === null ? (role === 'out' ? { color: rgb(1, 1, 1) } : {}) : { color: rgb(fill, fill, fill), ...(role === 'pressed' && { opacity: 0.4 }) }), // prettier-ignore
    });
  }
  for (const { x, y, text, anchor, disk } of texts) {
    const size = disk ? 6 : 7.5;
    const width = flow.plain.widthOfTextAtSize(text, size);
    const back = disk || anchor === 'middle' ? width / 2 : anchor === 'end' ? width : 0;
    const spot = { x: origin.x + x * scale, y: origin.y - y * scale };
    if (disk) flow.page.drawCircle({ ...spot, size: 4.6, color: rgb(1, 1, 1), borderColor: ink, borderWidth: 0.5 });
    flow.page.drawText(text, { x: spot.x - back, y: spot.y - (disk ? 2 : 0), size, font: disk ? flow.bold : flow.plain, color: ink }); // prettier-ignore
  }
  flow.leave(high * scale + 4);
}
