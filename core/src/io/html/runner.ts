/** What runs in a file that was taken along: plain script without a library, as the file stands alone. */
export const RUNNER = `
'use strict';
const data = JSON.parse(document.getElementById('data').textContent);
const key = 'mivet-along-' + data.projectId + '-' + data.writtenAt;
const empty = { doneSteps: [], doneAt: {}, waitsUntil: {}, waitsFrom: {}, answers: [], notes: [], photos: [] };
let run = empty;
try { run = Object.assign({}, empty, JSON.parse(localStorage.getItem(key) || '{}')); } catch (e) { run = empty; }
let done = new Set(), at = 0, store = null;
const $ = (id) => document.getElementById(id);
function sayKept(kept) {
  $('kept').textContent = kept ? '' : 'This phone keeps nothing for this file: save the results before you close it.';
}
// In two places: one of them has no room for many photographs, the other is not there in every browser.
function keep() {
  run.keptAt = Date.now();
  let simply = true;
  try { localStorage.setItem(key, JSON.stringify(run)); } catch (e) { simply = false; }
  if (!store) { sayKept(simply); return; }
  try {
    const tx = store.transaction('runs', 'readwrite');
    tx.oncomplete = () => sayKept(true);
    tx.onabort = () => sayKept(simply);
    tx.objectStore('runs').put(run, key);
    if (tx.commit) tx.commit();
  } catch (e) { sayKept(simply); }
}
let begun = false;
function begin(other) {
  if (begun) return;
  begun = true;
  if (other && (other.keptAt || 0) > (run.keptAt || 0)) run = Object.assign({}, empty, other);
  done = new Set(data.done.concat(run.doneSteps));
  at = Math.max(0, data.stops.findIndex((s) => !done.has(s.tick)));
  show();
}
function open() {
  let asked;
  try { asked = indexedDB.open('mivet-along', 1); } catch (e) { begin(); return; }
  asked.onupgradeneeded = () => asked.result.createObjectStore('runs');
  asked.onerror = () => begin();
  asked.onsuccess = () => {
    try {
      const got = asked.result.transaction('runs').objectStore('runs').get(key);
      got.onsuccess = () => { store = asked.result; begin(got.result); };
      got.onerror = () => begin();
    } catch (e) { begin(); }
  };
  setTimeout(begin, 3000);
}
const now = () => new Date().toISOString();
function left(until) {
  const s = Math.ceil((Date.parse(until) - Date.now()) / 1000);
  if (s <= 0) return 'over';
  const h = Math.floor(s / 3600), m = Math.floor((s % 3600) / 60);
  return h > 0 ? h + ' h ' + m + ' min' : m + ':' + String(s % 60).padStart(2, '0');
}
function element(tag, text, className) {
  const e = document.createElement(tag);
  if (text) e.textContent = text;
  if (className) e.className = className;
  return e;
}
function button(text, act, className) {
  const b = element('button', text, className);
  b.type = 'button';
  b.addEventListener('click', act);
  return b;
}
function tick(id, on) {
  if (on) { run.doneSteps = run.doneSteps.concat(id); run.doneAt[id] = now(); done.add(id); }
  else { run.doneSteps = run.doneSteps.filter((x) => x !== id); delete run.doneAt[id]; done.delete(id); }
  keep();
}
function wait(stop, minutes) {
  run.waitsFrom[stop.wait] = run.waitsFrom[stop.wait] || now();
  run.waitsUntil[stop.wait] = new Date(Date.now() + minutes * 60000).toISOString();
  keep(); show();
}
function shrink(file) {
  return createImageBitmap(file).then((bitmap) => {
    const scale = Math.min(1, 720 / Math.max(bitmap.width, bitmap.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(bitmap.width * scale); canvas.height = Math.round(bitmap.height * scale);
    canvas.getContext('2d').drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    return canvas.toDataURL('image/jpeg', 0.8);
  });
}
const newId = () => 'along-' + Date.now().toString(36) + '-' + Math.random().toString(36).slice(2, 8);
function note(stop, text, picture) {
  const id = newId(), photo = picture ? newId() : null, when = now();
  run.notes = run.notes.concat({ id: id, step: stop.id, at: when, text: text, photo: photo });
  if (photo) run.photos = run.photos.concat({ id: photo, projectId: data.projectId, at: when, data: picture });
  keep(); show();
}
function show() {
  const stop = data.stops[at], card = $('card');
  const finished = data.stops.every((s) => done.has(s.tick));
  $('where').textContent = finished ? 'all done' : 'step ' + stop.nth + ' of ' + data.steps;
  card.replaceChildren();
  if (stop.which) card.append(element('p', stop.which, 'which'));
  card.append(element('h1', stop.title));
  stop.pictures.forEach((place) => {
    const svg = data.pictures[place], figure = element('figure');
    figure.innerHTML = svg.svg;
    figure.append(element('figcaption', svg.says));
    card.append(figure);
  });
  card.append(element('p', stop.body, 'body'));
  stop.list.forEach((line, i) => {
    const id = stop.id + '/' + i, label = element('label', '', 'line'), box = element('input');
    box.type = 'checkbox'; box.checked = done.has(id);
    box.addEventListener('change', () => tick(id, box.checked));
    label.append(box, document.createTextNode(' ' + line));
    card.append(label);
  });
  if (stop.why) card.append(element('p', stop.why, 'quiet'));
  if (stop.caution) card.append(element('p', stop.caution, 'caution'));
  if (stop.waitMinutes > 0 || run.waitsUntil[stop.wait]) {
    const row = element('p', '', 'wait'), until = run.waitsUntil[stop.wait];
    if (until) { const t = element('strong', left(until)); t.dataset.until = until; row.append(t); }
    else row.append(button('Start the wait: ' + stop.waitWords, () => wait(stop, stop.waitMinutes)));
    card.append(row);
  }
  if (stop.check) {
    const box = element('div', '', 'check');
    box.append(element('p', stop.check.ask, 'bold'));
    const said = run.answers.filter((a) => a.step === stop.id && a.thing === stop.thing);
    if (said.length && !said[said.length - 1].yes) box.append(element('p', stop.check.ifNot));
    box.append(button(stop.check.againMinutes ? 'Not yet: ' + stop.check.againMinutes + ' min more' : 'No', () => {
      run.answers = run.answers.concat({ step: stop.id, thing: stop.thing, at: now(), yes: false });
      if (stop.check.againMinutes) wait(stop, stop.check.againMinutes); else { keep(); show(); }
    }));
    card.append(box);
  }
  run.notes.filter((n) => n.step === stop.id).forEach((n) => card.append(element('p', '\\u2022 ' + n.text + (n.photo ? ' (photograph)' : ''), 'quiet')));
  const text = element('textarea'), file = element('input'), form = element('div', '', 'note');
  text.rows = 2; text.setAttribute('aria-label', 'Note'); text.placeholder = 'Note';
  file.type = 'file'; file.accept = 'image/*'; file.setAttribute('aria-label', 'Photograph');
  form.append(text, file, button('Keep the note', () => {
    const chosen = file.files[0];
    if (!text.value.trim() && !chosen) return;
    (chosen ? shrink(chosen) : Promise.resolve(null)).then((picture) => note(stop, text.value.trim(), picture), () => note(stop, text.value.trim(), null));
  }));
  card.append(form);
  $('back').disabled = at === 0;
  $('next').textContent = at === data.stops.length - 1 ? 'Done' : 'Done, next';
}
$('next').addEventListener('click', () => {
  const stop = data.stops[at];
  if (stop.check) run.answers = run.answers.concat({ step: stop.id, thing: stop.thing, at: now(), yes: true });
  if (!done.has(stop.tick)) tick(stop.tick, true);
  if (at < data.stops.length - 1) at += 1;
  show(); window.scrollTo(0, 0);
});
$('back').addEventListener('click', () => { at = Math.max(0, at - 1); show(); });
$('save').addEventListener('click', () => {
  const { photos, keptAt, ...bench } = run;
  const results = { format: 'mivet-results', version: 1, projectId: data.projectId, project: data.project, bench: bench, photos: photos };
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([JSON.stringify(results)], { type: 'application/json' }));
  link.download = data.fileName;
  link.click();
});
setInterval(() => {
  document.querySelectorAll('[data-until]').forEach((e) => { e.textContent = left(e.dataset.until); });
  const running = Object.keys(run.waitsUntil).map((id) => run.waitsUntil[id]).sort();
  $('timer').textContent = running.length ? 'Waiting: ' + running.map(left).join(' \\u00b7 ') : '';
}, 500);
open();
`;

/** How it looks: large, on paper, by day and by night. */
export const RUNNER_CSS = `
:root{color-scheme:light dark;--paper:#f7f4ea;--ink:#1c2430;--teal:#0c6764;--on:#fff;--line:#d3ccb9;--quiet:#5b6471}
@media (prefers-color-scheme:dark){:root{--paper:#1d222a;--ink:#eeeade;--teal:#5cc2ba;--on:#0b2422;--line:#3d4550;--quiet:#aab0ba}}
*{box-sizing:border-box}body{margin:0;background:var(--paper);color:var(--ink);font:20px/1.45 system-ui,sans-serif}
header,footer{position:sticky;background:var(--paper);padding:10px 18px;display:flex;gap:10px;align-items:center;border:0 solid var(--line);z-index:1}
header{top:0;justify-content:space-between;border-bottom-width:1px;font-weight:600;flex-wrap:wrap}footer{bottom:0;border-top-width:1px}
main{padding:14px 18px;max-width:680px;margin:0 auto}h1{font-size:28px;line-height:1.2;margin:0 0 12px}.which{margin:0;color:var(--quiet)}
figure{margin:0 0 12px;background:#fff;border:1px solid var(--line);padding:8px;color:#1c2430}figure svg{display:block;width:100%;max-height:38vh}figcaption{font-size:16px;color:#5b6471}
button{min-height:56px;padding:0 16px;font:inherit;border:1px solid var(--teal);background:transparent;color:var(--teal)}#next{flex:1;background:var(--teal);color:var(--on);font-weight:700}
button:disabled{opacity:.4}.line{display:flex;align-items:center;gap:8px;min-height:44px;border-bottom:1px solid var(--line)}.line input{width:24px;height:24px}
.quiet{color:var(--quiet)}.caution,.check{border-left:4px solid #a86a10;padding-left:12px}.bold{font-weight:700}.note{display:grid;gap:8px;margin:18px 0}textarea{font:inherit;width:100%}
`;
