/**
 * Drawn pages as one page of the web, for who cannot print and for who has it read aloud: the same words and pictures in the same
 * order, in one column. It is made from the tags of what is drawn, so that paper and page cannot say different things.
 */
import type { Drawing, DrawingItem, Face, Tag, Tagged, Words } from './drawing.ts'
import { escapeText, writeItems } from './write-svg.ts'

export interface WebPage {
  readonly title: string
  readonly language: string
  /** Shown at the head of it. */
  readonly note: string
  readonly measure: (text: string, sizeMm: number, face: Face) => number
}

/** Only of the first layer of each page: feet are for paper. */
export function writeWebPage(pages: Iterable<Drawing>, page: WebPage): string {
  const writer = new Writer(page.measure)
  for (const one of pages) writer.write(one.layers[0]?.items ?? [])
  const body = writer.end()
  const head = `<meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${escapeText(page.title)}</title><style>${STYLE}</style>`
  return `<!doctype html><html lang="${escapeText(page.language)}"><head>${head}</head><body><main><p class="note">${escapeText(page.note)}</p>${body}</main><script>${KEEPS}</script></body></html>\n`
}

const GROUPS: Readonly<Partial<Record<Tag, readonly [string, string]>>> = {
  LI: ['<ul>', '</ul>'],
  Tick: ['<ul class="ticks">', '</ul>'],
  TR: ['<div class="wide"><table>', '</table></div>'],
}

class Writer {
  private readonly parts: string[] = []
  private group: Tag | null = null

  constructor(private readonly measure: WebPage['measure']) {}

  /** What has no tag is ornament of the paper. */
  write(items: readonly DrawingItem[]): void {
    for (const item of items) {
      if (item.kind !== 'tagged') continue
      const wanted = GROUPS[item.tag] ? item.tag : null
      if (wanted !== this.group) this.open(wanted)
      this.parts.push(this.element(item))
    }
  }

  end(): string {
    this.open(null)
    return this.parts.join('\n')
  }

  private open(group: Tag | null): void {
    if (this.group) this.parts.push(GROUPS[this.group]?.[1] ?? '')
    if (group) this.parts.push(GROUPS[group]?.[0] ?? '')
    this.group = group
  }

  private element(item: Tagged): string {
    const inner = (): string => this.inner(item.items)
    switch (item.tag) {
      case 'H1':
        return `<h1>${inner()}</h1>`
      case 'H2':
        return `<h2>${inner()}</h2>`
      case 'P':
        return `<p>${inner()}</p>`
      case 'LI':
        return `<li>${inner()}</li>`
      case 'Tick':
        return `<li><label><input type="checkbox"><span>${inner()}</span></label></li>`
      case 'Lbl':
        return `<b class="letter">${inner()}</b>`
      case 'LBody':
        return `<div>${inner()}</div>`
      case 'TR':
        return `<tr>${inner()}</tr>`
      case 'TH':
        return `<th scope="col">${inner()}</th>`
      case 'TD':
        return `<td>${inner()}</td>`
      case 'Entry':
        return `<label class="entry"><input type="number" min="0" inputmode="numeric"> ${inner()}</label>`
      case 'Figure':
        return figureOf(item)
    }
  }

  private inner(items: readonly DrawingItem[]): string {
    let text = ''
    let before: Words | null = null
    for (const item of items) {
      if (item.kind === 'tagged') {
        // A box that has nothing beside it stands alone in its cell.
        text += item.tag === 'Tick' ? `<label class="box"><input type="checkbox">${this.inner(item.items)}</label>` : this.element(item)
        before = null
      } else if (item.kind === 'words') {
        if (before && this.isApart(before, item)) text += ' '
        text += item.face === 'text-bold' ? `<strong>${escapeText(item.text)}</strong>` : escapeText(item.text)
        before = item
      }
    }
    return text
  }

  /** On another line, or with a space between. */
  private isApart(one: Words, next: Words): boolean {
    if (Math.abs(one.at.y - next.at.y) > 0.1) return true
    return next.at.x - one.at.x - this.measure(one.text, one.sizeMm, one.face) > 0.1 * one.sizeMm
  }
}

function figureOf({ alt, frame, items }: Tagged): string {
  if (!frame) return ''
  const { left, top, widthMm, heightMm } = frame
  const named = alt ? `role="img" aria-label="${escapeText(alt)}"` : 'aria-hidden="true"'
  const box = [left, top, widthMm, heightMm].map((value) => Math.round(value * 1000) / 1000)
  return `<svg ${named} viewBox="${box.join(' ')}" style="width:${Math.round(widthMm * 1.5)}mm">${writeItems(items)}</svg>`
}

const STYLE = `
body{margin:0;background:#fff;color:#1f2a37;font:1.125rem/1.5 "Source Sans 3",system-ui,sans-serif}
main{max-width:46rem;margin:0 auto;padding:1rem}
h1,h2,.letter{font-family:Alegreya,Georgia,serif;color:#2b3f77;line-height:1.2}
h1{margin:3rem 0 .5rem;border-top:1px solid #8a7a66;padding-top:1rem}
ul{padding:0;list-style:none}li{margin:.75rem 0}label{display:inline-flex;gap:.6rem;align-items:baseline}
input[type=checkbox]{width:1.2rem;height:1.2rem}input[type=number]{width:4.5rem;font:inherit}
svg{max-width:100%;height:auto;display:block}.wide{overflow-x:auto}
table{border-collapse:collapse;width:100%}th,td{text-align:left;vertical-align:top;padding:.3rem .6rem .3rem 0;border-bottom:1px solid #d5ccbf}
td svg{width:3rem!important;display:inline-block}td p{margin:0;display:inline}.letter{font-size:1.4rem}.note{color:#5b4a36}
@media print{h1{break-before:page}li,tr{break-inside:avoid}}`

/** What is ticked and written stays in the reader's own browser. */
const KEEPS = `
(function(){var key='kept '+document.title,all=[].slice.call(document.querySelectorAll('input')),kept={};
try{kept=JSON.parse(localStorage.getItem(key))||{}}catch(e){}
all.forEach(function(one,i){if(one.type==='checkbox')one.checked=!!kept[i];else if(kept[i]!=null)one.value=kept[i];
one.addEventListener('change',function(){kept[i]=one.type==='checkbox'?one.checked:one.value;try{localStorage.setItem(key,JSON.stringify(kept))}catch(e){}})})})()`
