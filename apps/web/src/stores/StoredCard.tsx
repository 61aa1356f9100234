/** One thing of the stores: what it is, how much of it there is, what it cost, and how its figures are known. */
import { byTen, CLOTH_KINDS, countOverLength, findClothKind, findNeedle, kindOf, nameThread, NEEDLE_FAMILIES, THREAD_KINDS } from '@lemmata/core/materials'
import type { Colour } from '@lemmata/core/sampler'
import type { ShelfName, Shelves, Stored, Stores, StoresOperation } from '@lemmata/core/stores'
import { Button, Select } from 'antd'
import { Field, NumberField, TextField } from '../sampler/fields.tsx'
import { editStores } from '../store/index.ts'
import { ColourFields, OnCloths } from './colour-fields.tsx'
import { Measuring } from './Measuring.tsx'
import { nameInWords, pricedBy, SHELF_WORDS } from './stored-words.ts'
import { ThreadFigures } from './ThreadFigures.tsx'

interface Props {
  readonly stores: Stores
  readonly shelf: ShelfName
  readonly item: Stored
  readonly onClose: () => void
}

type Change = Extract<StoresOperation, { readonly kind: 'change-stored' }>

export function StoredCard({ stores, shelf, item, onClose }: Props) {
  const change = (set: Change['set'], clear?: Change['clear']): void =>
    editStores({ kind: 'change-stored', shelf, id: item.id, set, ...(clear ? { clear } : {}) })
  const putUp = shelf === 'threads' ? kindOf(item as Shelves['threads'])?.putUp : undefined
  const isLength = shelf === 'threads' || shelf === 'cloths'
  const per = isLength ? 1000 : 1
  const one = shelf === 'threads' ? (putUp?.lengthMm ?? 1000) : per
  return (
    <aside className="card stored-card" aria-label={nameInWords(shelf, item)}>
      <div className="card-head">
        <div className="card-title">
          <h2>{nameInWords(shelf, item)}</h2>
          <span>{SHELF_WORDS[shelf].one}</span>
        </div>
        <Button
          onClick={() => {
            editStores({ kind: 'remove-stored', shelf, id: item.id })
            onClose()
          }}
        >
          Take out
        </Button>
        <Button type="text" aria-label="Close the card" title="Close" onClick={onClose}>
          ×
        </Button>
      </div>
      <div className="card-groups stored-groups">
        <div className="group">
          <Amount shelf={shelf} item={item} per={per} onChange={change} />
          <div className="stored-more">
            <Button size="small" onClick={() => editStores({ kind: 'restock', shelf, id: item.id, amount: one })}>
              {putUp ? `One ${putUp.word} more` : shelf === 'cloths' ? 'A metre more' : 'One more'}
            </Button>
            <Button size="small" disabled={item.left < one} onClick={() => editStores({ kind: 'restock', shelf, id: item.id, amount: -one })}>
              {putUp ? `One ${putUp.word} less` : shelf === 'cloths' ? 'A metre less' : 'One less'}
            </Button>
          </div>
          <TextField
            label={`Price ${pricedBy(shelf, item)}, ${stores.currency}`}
            value={item.price === undefined ? '' : String(item.price)}
            onChange={(text) => {
              const price = Number(text.replace(',', '.'))
              if (text === '') change({}, ['price'])
              else if (Number.isFinite(price) && price >= 0) change({ price })
            }}
          />
        </div>
        {shelf === 'threads' && <ThreadGroup stores={stores} thread={item as Shelves['threads']} change={change} />}
        {shelf === 'needles' && <NeedleGroup needle={item as Shelves['needles']} change={change} />}
        {shelf === 'cloths' && <ClothGroup cloth={item as Shelves['cloths']} change={change} />}
        {shelf === 'hoops' && <HoopGroup hoop={item as Shelves['hoops']} change={change} />}
        {shelf === 'tools' && (
          <div className="group">
            <TextField label="Name" value={(item as Shelves['tools']).name} onChange={(name) => name !== '' && change({ name })} />
          </div>
        )}
        <div className="group">
          <TextField label="Note" rows={2} max={500} value={item.note ?? ''} onChange={(note) => (note === '' ? change({}, ['note']) : change({ note }))} />
        </div>
      </div>
    </aside>
  )
}

type Changing = (set: Change['set'], clear?: Change['clear']) => void

function Amount({ shelf, item, per, onChange }: { readonly shelf: ShelfName; readonly item: Stored; readonly per: number; readonly onChange: Changing }) {
  const label = per === 1000 ? 'Left, m' : 'Left'
  const hint = shelf === 'threads' ? 'As it is sold, in all its strands.' : undefined
  return (
    <NumberField
      label={label}
      value={item.left / per}
      min={0}
      max={100_000}
      step={per === 1000 ? 0.5 : 1}
      hint={hint}
      onChange={(value) => onChange({ left: per === 1000 ? value * per : Math.round(value) })}
    />
  )
}

/** Where none of her cloths is known: what most is taught on, light and dark. */
const USUAL_CLOTHS: readonly Colour[] = ['calico', 'linen-28', 'denim'].flatMap((id) => {
  const kind = findClothKind(id)
  return kind ? [{ name: kind.name, hex: kind.hex }] : []
})

function ThreadGroup({ stores, thread, change }: { readonly stores: Stores; readonly thread: Shelves['threads']; readonly change: Changing }) {
  const cloths = stores.cloths.length > 0 ? stores.cloths.slice(0, 4).map((one) => one.colour) : USUAL_CLOTHS
  return (
    <>
      <div className="group">
        <ColourFields colour={thread.colour} onChange={(colour) => change({ colour })} />
        <OnCloths hex={thread.colour.hex} cloths={cloths} />
        <Field label="Kind">
          {(id) => (
            <Select
              id={id}
              showSearch={{ optionFilterProp: 'label' }}
              value={`${thread.kind} ${thread.weight ?? ''}`}
              options={THREAD_KINDS.map((kind) => ({ value: `${kind.id} ${kind.weight ?? ''}`, label: nameThread(kind) }))}
              onChange={(value) => {
                const [kind = '', weight = ''] = value.split(' ')
                change(weight === '' ? { kind } : { kind, weight }, weight === '' ? ['weight', 'figures'] : ['figures'])
              }}
            />
          )}
        </Field>
      </div>
      <div className="group">
        <h3>Its figures</h3>
        <ThreadFigures thread={thread} onChange={(figures) => (figures ? change({ figures }) : change({}, ['figures']))} />
      </div>
    </>
  )
}

function NeedleGroup({ needle, change }: { readonly needle: Shelves['needles']; readonly change: Changing }) {
  const family = NEEDLE_FAMILIES.find((one) => one.id === needle.kind)
  const usual = findNeedle(needle.kind, needle.size)
  const sizes = family?.shaftBySize.map(([size]) => size) ?? []
  return (
    <div className="group">
      <Field
        label="Kind and size"
        hint={`The shaft is ${(needle.shaftMm ?? usual?.shaftMm ?? 0).toFixed(2)} mm${needle.shaftMm === undefined ? ', as sizes usually are, 0.05 mm either way' : ', as you measured it'}.`}
      >
        {(id) => (
          <div className="pair">
            <Select
              id={id}
              value={needle.kind}
              options={NEEDLE_FAMILIES.map((one) => ({ value: one.id, label: one.also === '' ? one.name : `${one.name} (${one.also})` }))}
              onChange={(kind) => {
                const first = NEEDLE_FAMILIES.find((one) => one.id === kind)?.shaftBySize ?? []
                const same = first.find(([size]) => size === needle.size) ?? first[Math.floor(first.length / 2)]
                if (same) change({ kind, size: same[0] }, ['shaftMm'])
              }}
            />
            <Select
              aria-label="Size"
              value={needle.size}
              options={(sizes.includes(needle.size) ? sizes : [...sizes, needle.size]).map((size) => ({ value: size, label: String(size) }))}
              onChange={(size) => change({ size }, ['shaftMm'])}
            />
          </div>
        )}
      </Field>
      <Measuring
        title="Measure the shaft"
        how="Lay ten needles of one packet side by side on a ruler, head to tail, and read how wide they lie."
        quantities={[
          { label: 'They lie so wide, mm', usual: Number((10 * (needle.shaftMm ?? usual?.shaftMm ?? 0.6)).toFixed(1)), min: 0.1, max: 100, step: 0.1 },
          { label: 'Needles', usual: 10, min: 1, max: 50 },
        ]}
        measure={byTen}
        unit="mm"
        decimals={2}
        onTake={({ value }) => change({ shaftMm: value })}
      />
      {needle.shaftMm !== undefined && usual && (
        <Button size="small" onClick={() => change({}, ['shaftMm'])}>
          Put back {usual.shaftMm.toFixed(2)} mm
        </Button>
      )}
    </div>
  )
}

function ClothGroup({ cloth, change }: { readonly cloth: Shelves['cloths']; readonly change: Changing }) {
  const kind = findClothKind(cloth.kind)
  const perCm = cloth.threadsPerCm ?? kind?.threadsPerCm ?? null
  return (
    <div className="group">
      <ColourFields colour={cloth.colour} onChange={(colour) => change({ colour })} />
      <Field
        label="Kind"
        hint={
          perCm === null
            ? 'It has no threads to count.'
            : `${perCm} threads to the cm${cloth.threadsPerCm === undefined ? ', as its kind usually has' : ', as you counted them'}.`
        }
      >
        {(id) => (
          <Select
            id={id}
            value={cloth.kind}
            options={CLOTH_KINDS.map((one) => ({ value: one.id, label: one.name }))}
            onChange={(next) => change({ kind: next }, ['threadsPerCm'])}
          />
        )}
      </Field>
      <NumberField
        label="Width from selvedge to selvedge, mm"
        value={cloth.widthMm}
        min={50}
        max={10_000}
        step={10}
        onChange={(widthMm) => change({ widthMm })}
      />
      {perCm !== null && (
        <Measuring
          title="Count its threads"
          how="Under a ruler, with a needle’s point, along the weft; then along the warp: they differ."
          quantities={[
            { label: 'Threads', usual: Math.round(perCm * 5), min: 1, max: 2000 },
            { label: 'Over so many mm', usual: 50, min: 1, max: 300 },
          ]}
          measure={countOverLength}
          unit="to the cm"
          decimals={1}
          onTake={({ value }) => change({ threadsPerCm: value })}
        />
      )}
    </div>
  )
}

function HoopGroup({ hoop, change }: { readonly hoop: Shelves['hoops']; readonly change: Changing }) {
  const [across, down] = hoop.sizeMm
  const isRound = hoop.shape === 'round'
  return (
    <div className="group">
      <Field label="Shape">
        {(id) => (
          <Select
            id={id}
            value={hoop.shape}
            options={[
              { value: 'round', label: 'Round hoop' },
              { value: 'oval', label: 'Oval hoop' },
              { value: 'frame', label: 'Frame' },
            ]}
            onChange={(shape) => change({ shape, sizeMm: shape === 'round' ? [across, across] : [across, down] })}
          />
        )}
      </Field>
      <div className="pair">
        <NumberField
          label={isRound ? 'As it is called, mm' : 'Inside across, mm'}
          value={across}
          min={30}
          max={3000}
          onChange={(mm) => change({ sizeMm: [mm, isRound ? mm : down] })}
        />
        {!isRound && <NumberField label="Inside down, mm" value={down} min={30} max={3000} onChange={(mm) => change({ sizeMm: [across, mm] })} />}
      </div>
    </div>
  )
}
