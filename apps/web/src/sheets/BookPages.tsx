/** A book as it prints: its pages side by side as they lie open, with what was done to make them fit. */
import { type Book, MOST_PAGES } from '@lemmata/core/book'
import { PAGE_SIZES } from '@lemmata/core/sheets'
import { counted } from '@lemmata/core/units'
import { Progress } from 'antd'
import { useMemo } from 'react'
import { PageCanvas } from './PageCanvas.tsx'
import { type BookWanted, useBook } from './use-book.ts'

export function BookPages({ wanted, pxPerMm }: { readonly wanted: BookWanted; readonly pxPerMm: number }) {
  const { book, share, cover } = useBook(wanted)
  const { widthMm, heightMm } = PAGE_SIZES[wanted.page]
  const draws = useMemo(() => (book ? Array.from({ length: book.pages + book.patternPages }, (_, index) => () => book.drawPage(index)) : []), [book])
  if (!book)
    return (
      <>
        <div className="panel book-progress" role="status">
          Laying out the book …
          <Progress percent={Math.round(100 * share)} showInfo={false} size="small" aria-label="Laying out the book" />
        </div>
        {cover && (
          <div className="sheet-pages book-pages">
            <div className="book-cover-beside" style={{ width: widthMm * pxPerMm }} />
            <PageCanvas {...{ widthMm, heightMm, draw: cover, pxPerMm }} label="The cover" />
          </div>
        )}
      </>
    )
  return (
    <>
      <p className="sheet-said">
        {bookInWords(wanted, book)}
        {wanted.kind !== 'cards' &&
          wanted.group?.calendar === undefined &&
          ' The class has no dates yet: give it some under Calendar, and they stand in its book.'}
      </p>
      <div className="sheet-pages book-pages" data-testid="book-pages">
        {/* As it lies open: the first page is a right one. Cards are no book. */}
        {wanted.kind !== 'cards' && <div className="book-cover-beside" style={{ width: widthMm * pxPerMm }} />}
        {draws.map((draw, index) => (
          <PageCanvas
            // biome-ignore lint/suspicious/noArrayIndexKey: a page is its number.
            key={index}
            {...{ widthMm, heightMm, draw, pxPerMm }}
            label={index < book.pages ? `Page ${index + 1} of ${book.pages}` : `Pattern sheet ${index - book.pages + 1} of ${book.patternPages}`}
          />
        ))}
      </div>
    </>
  )
}

function bookInWords({ kind }: BookWanted, book: Book): string {
  const pages = counted(book.pages, 'page')
  if (kind === 'cards') return `${pages}, to print on card on one side and cut along the lines.`
  if (kind === 'teacher') return `${pages}, for you alone: names and notes of the class stand in it. Print it on both sides, turned on the long edge.`
  const set = book.form === 'large' ? 'in large print' : `set ${book.form === 'compact' ? 'compactly' : 'roomily'}`
  const why = book.isCompacted ? `, for roomily it would be more than ${MOST_PAGES}` : ''
  return `${pages} and ${counted(book.patternPages, 'pattern sheet')}, ${set}${why}. Print it on both sides, turned on the long edge; the pattern on one side.`
}
