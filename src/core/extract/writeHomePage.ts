import { escapeText } from '../drawing/svg.ts';
import { HOME_FORMAT, HOME_VERSION } from '../formats/homeFile.ts';
import type { Page } from '../paper/page.ts';
import { writePageSvg } from '../paper/pageSvg.ts';

/** A person’s own page, to read and to write in at home. */
export interface HomePageAsked {
  readonly person: { readonly id: string; readonly name: string };
  /** Id of this page: a line that is handed back twice is known by it. */
  readonly sheet: string;
  readonly poses: readonly { readonly id: string; readonly name: string }[];
  /** The cards of the poses. */
  readonly cards: readonly Page[];
}

/** Four weeks. */
const LINES = 28;

const STYLE = `body{font:17px/1.5 Georgia,serif;max-width:60rem;margin:1.5rem auto;padding:0 1rem;color:#1d2b36;background:#f5f1e6}
h1,h2{line-height:1.2}svg{width:100%;height:auto;background:#fff}figure{margin:1rem 0}
li{list-style:none;border-bottom:1px solid #b9b3a2;padding:.5rem 0;display:flex;flex-wrap:wrap;gap:.4rem 1rem;align-items:center}
ol{padding:0}input{font:inherit;min-height:2.75rem}input[type=text]{flex:1;min-width:12rem}
input[type=checkbox]{width:1.4rem;vertical-align:middle}label{min-height:2.75rem;display:inline-flex;gap:.4rem;align-items:center}
button{font:inherit;font-weight:bold;min-height:3rem;padding:0 1.2rem;border-radius:2rem;border:0;background:#1d2b36;color:#fff}
@media print{button,.screen{display:none}}`;

/**
 * What the page does: it keeps what was written in this browser, where the browser lets it, and
 * saves it as a file. It sends nothing anywhere.
 */
const SCRIPT = `const sheet=JSON.parse(document.getElementById('sheet').textContent);
const key='stillwater home '+sheet.sheet;const rows=[...document.querySelectorAll('li')];
const read=row=>({line:Number(row.dataset.line),day:row.querySelector('[type=date]').value,
poses:[...row.querySelectorAll(':checked')].map(each=>each.value),words:row.querySelector('[type=text]').value.trim()});
const written=()=>rows.map(read).filter(each=>each.poses.length>0||each.words!=='');
const say=words=>{document.getElementById('said').textContent=words};
try{for(const each of JSON.parse(localStorage.getItem(key)??'[]')){const row=rows[each.line-1];
row.querySelector('[type=date]').value=each.day;row.querySelector('[type=text]').value=each.words;
for(const box of row.querySelectorAll('[type=checkbox]'))box.checked=each.poses.includes(box.value)}}catch{}
document.addEventListener('input',()=>{try{localStorage.setItem(key,JSON.stringify(written()))}catch{}});
document.getElementById('save').addEventListener('click',()=>{const days=written();
const open=days.find(each=>each.day==='');
if(open){rows[open.line-1].querySelector('[type=date]').focus();say('Line '+open.line+' has no day yet.');return}
const file=new Blob([JSON.stringify({...sheet,days},null,2)],{type:'application/json'});
const link=document.createElement('a');link.href=URL.createObjectURL(file);
link.download=sheet.person.name+' at home.json';link.click();
say(days.length===1?'1 day is saved.':days.length+' days are saved.')});`;

const writeLine = (poses: HomePageAsked['poses'], line: number): string =>
  [
    `<li data-line="${String(line)}"><input type="date" aria-label="Day, line ${String(line)}">`,
    ...poses.map(
      ({ id, name }) =>
        `<label><input type="checkbox" value="${escapeText(id)}">${escapeText(name)}</label>`,
    ),
    `<input type="text" aria-label="How it was, line ${String(line)}" placeholder="How it was, and where I felt it"></li>`,
  ].join('');

/** Data inside of a page: nothing in it can end its element. */
const writeData = (value: unknown): string =>
  JSON.stringify(value).replaceAll('<', String.raw`\u003c`);

/**
 * A page that a person takes home: their poses as on their cards, and lines to fill in. Opened in
 * any browser it needs nothing else; what is written is saved as a file and handed back.
 *
 * @param asked for whom, and what is on it
 * @returns HTML
 */
export function writeHomePage({ person, sheet, poses, cards }: HomePageAsked): string {
  const title = `${person.name}, at home`;
  const data = { format: HOME_FORMAT, version: HOME_VERSION, sheet, person };
  return [
    '<!doctype html><html lang="en"><head><meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width, initial-scale=1">',
    `<title>${escapeText(title)}</title><style>${STYLE}</style></head><body>`,
    `<h1>${escapeText(title)}</h1>`,
    ...cards.map((card) => `<figure>${writePageSvg(card)}</figure>`),
    '<section class="screen"><h2>A line a day, when you like</h2>',
    '<p>Any day counts, and a day without a line is no matter. What you write stays on this device until you save the file and hand it back.</p>',
    `<ol>${Array.from({ length: LINES }, (_, i) => writeLine(poses, i + 1)).join('')}</ol>`,
    '<p><button type="button" id="save">Save the file to hand back</button> <span id="said" role="status"></span></p></section>',
    `<script type="application/json" id="sheet">${writeData(data)}</script><script>${SCRIPT}</script>`,
    '</body></html>\n',
  ].join('\n');
}
