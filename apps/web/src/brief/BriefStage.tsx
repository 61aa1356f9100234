/** What the course is for, and what it is made with. */
import { type Language, LANGUAGES } from '@lemmata/core/language'
import { CLOTH_KINDS, nameThread, THREAD_KINDS } from '@lemmata/core/materials'
import type { Brief, Level, Operation, SamplerThread } from '@lemmata/core/sampler'
import { usualCloth } from '@lemmata/core/sampler'
import { Button, ColorPicker, DatePicker, Input, Radio, Select } from 'antd'
import dayjs from 'dayjs'
import { edit } from '../store/index.ts'
import { newId } from '../store/new-ids.ts'
import { Field, LengthField, NumberField, TextField } from '../sampler/fields.tsx'
import { useSampler } from '../sampler/use-sampler.ts'
import { ClothPicture } from './ClothPicture.tsx'
import { HoopField } from './HoopField.tsx'
import { FromStores } from './FromStores.tsx'
import { nextColour, PALETTE } from './palette.ts'
import { WAYS } from './ways.ts'

export function BriefStage() {
  const sampler = useSampler()
  const { brief, cloth, units } = sampler
  const set = (change: Partial<Brief>): void => edit({ kind: 'change-brief', set: change })
  return (
    <div className="scroll">
      <div style={{ marginBottom: 16 }}>
        <h1>Brief</h1>
        <span className="quiet">Everything here can be changed later; all that follows is worked out anew.</span>
      </div>
      <div className="columns">
        <section className="panel" style={{ display: 'grid', gap: 11 }}>
          <h2>The course</h2>
          <TextField
            label="What it is for"
            value={brief.purpose ?? ''}
            rows={3}
            max={4000}
            onChange={(purpose) => (purpose === '' ? edit({ kind: 'change-brief', set: {}, clear: ['purpose'] }) : set({ purpose }))}
          />
          <Field label="The learners are">
            {(id) => (
              <Select<Level>
                id={id}
                value={brief.level}
                onChange={(level) => set({ level })}
                options={[
                  { value: 'beginner', label: 'Beginners' },
                  { value: 'improver', label: 'Improvers (about twenty hours behind them)' },
                  { value: 'experienced', label: 'Experienced' },
                ]}
              />
            )}
          </Field>
          <div className="two">
            <NumberField label="Learners" value={brief.learners} min={0} max={500} onChange={(learners) => set({ learners })} />
            <NumberField
              label="of them left-handed"
              value={brief.leftHanded}
              min={0}
              max={500}
              hint={brief.leftHanded > brief.learners ? <span className="wrong">more than there are learners</span> : undefined}
              onChange={(leftHanded) => set({ leftHanded })}
            />
            <NumberField
              label="Minutes in a lesson"
              value={brief.lessonMinutes}
              min={5}
              max={600}
              step={5}
              onChange={(lessonMinutes) => set({ lessonMinutes })}
            />
            <NumberField
              label="Lessons"
              value={brief.lessons ?? 0}
              min={0}
              max={200}
              hint={brief.lessons === undefined ? 'as few as the minutes need' : undefined}
              onChange={(lessons) => (lessons > 0 ? set({ lessons }) : edit({ kind: 'change-brief', set: {}, clear: ['lessons'] }))}
            />
            <NumberField
              label="Minutes a week at home"
              value={brief.homeMinutesPerWeek}
              min={0}
              max={3000}
              step={5}
              onChange={(homeMinutesPerWeek) => set({ homeMinutesPerWeek })}
            />
            <Field label="First lesson">
              {(id) => (
                <DatePicker
                  id={id}
                  style={{ width: '100%' }}
                  value={brief.startDate ? dayjs(brief.startDate) : null}
                  onChange={(day) => (day ? set({ startDate: day.format('YYYY-MM-DD') }) : edit({ kind: 'change-brief', set: {}, clear: ['startDate'] }))}
                />
              )}
            </Field>
            <NumberField label="Days between lessons" value={brief.everyDays ?? 7} min={1} max={90} onChange={(everyDays) => set({ everyDays })} />
            <Field label="Language of steps and sheets">
              {(id) => (
                <Select<Language>
                  id={id}
                  value={brief.language ?? 'en'}
                  onChange={(language) => (language === 'en' ? edit({ kind: 'change-brief', set: {}, clear: ['language'] }) : set({ language }))}
                  options={LANGUAGES.map(({ id: value, name }) => ({ value, label: name }))}
                />
              )}
            </Field>
          </div>
          <Field label="Lengths in">
            {(id) => (
              <Radio.Group id={id} value={units} onChange={(event) => edit({ kind: 'set-units', units: event.target.value as 'mm' | 'in' })}>
                <Radio value="mm">millimetres</Radio>
                <Radio value="in">inches</Radio>
              </Radio.Group>
            )}
          </Field>
        </section>

        <section className="panel" style={{ display: 'grid', gap: 11, alignContent: 'start' }}>
          <h2>Cloth and hoop</h2>
          <ClothPicture sampler={sampler} />
          <Field label="Cloth">
            {(id) => (
              <Select
                id={id}
                value={cloth.kind}
                options={CLOTH_KINDS.map((kind) => ({ value: kind.id, label: kind.name }))}
                onChange={(kind) => edit(takeCloth(kind))}
              />
            )}
          </Field>
          <div className="two">
            <Field label="Its colour">
              {(id) => (
                <span style={{ display: 'flex', gap: 8 }}>
                  <ColorPicker
                    value={cloth.colour.hex}
                    disabledAlpha
                    onChangeComplete={(colour) => edit({ kind: 'change-cloth', set: { colour: { ...cloth.colour, hex: colour.toHexString().slice(0, 7) } } })}
                  />
                  <Input
                    key={cloth.colour.name}
                    id={id}
                    defaultValue={cloth.colour.name}
                    maxLength={120}
                    onBlur={(event) =>
                      event.target.value.trim() !== '' &&
                      event.target.value !== cloth.colour.name &&
                      edit({ kind: 'change-cloth', set: { colour: { ...cloth.colour, name: event.target.value.trim() } } })
                    }
                  />
                </span>
              )}
            </Field>
            <NumberField
              label="Threads per cm"
              value={cloth.threadsPerCm ?? 0}
              min={1}
              max={80}
              step={0.5}
              hint={cloth.threadsPerCm ? `one thread each ${(10 / cloth.threadsPerCm).toFixed(2)} mm` : 'no weave'}
              onChange={(threadsPerCm) => edit({ kind: 'change-cloth', set: { threadsPerCm } })}
            />
            <LengthField
              label="Width"
              valueMm={cloth.widthMm}
              unit={units}
              min={20}
              max={3000}
              decimals={1}
              onChange={(widthMm) => edit({ kind: 'change-cloth', set: { widthMm } })}
            />
            <LengthField
              label="Height"
              valueMm={cloth.heightMm}
              unit={units}
              min={20}
              max={3000}
              decimals={1}
              onChange={(heightMm) => edit({ kind: 'change-cloth', set: { heightMm } })}
            />
          </div>
          <HoopField sampler={sampler} />
          <Threads threads={sampler.threads} />
        </section>

        <section className="panel" style={{ display: 'grid', gap: 11, gridColumn: '1 / -1' }}>
          <h2>Ways of working</h2>
          <p className="why" style={{ margin: 0 }}>
            Teachers disagree, with good reasons. Each choice is followed in the steps, the thread and needle, or the words of the sheets.
          </p>
          <div style={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(290px, 1fr))', gap: '12px 22px' }}>
            {WAYS.map((way) => (
              <Field key={way.id} label={way.question} hint={way.choices.find((choice) => choice.value === brief.waysOfWorking[way.id])?.because}>
                {(id) => (
                  <Select
                    id={id}
                    value={String(brief.waysOfWorking[way.id])}
                    options={way.choices.map((choice) => ({ value: String(choice.value), label: choice.label }))}
                    onChange={(value) => edit({ kind: 'change-brief', set: { waysOfWorking: { [way.id]: value } } })}
                  />
                )}
              </Field>
            ))}
            <LengthField
              label="A needleful"
              valueMm={brief.waysOfWorking.needlefulMm}
              unit={units}
              min={200}
              max={1200}
              decimals={units === 'mm' ? 0 : 1}
              hint="From needle to far end: 40 cm for fine thread, 45 to 50 usual, fingertip to shoulder at the most."
              onChange={(needlefulMm) => edit({ kind: 'change-brief', set: { waysOfWorking: { needlefulMm } } })}
            />
          </div>
        </section>
      </div>
    </div>
  )
}

/** Another cloth of the same size, as that kind usually is. */
function takeCloth(kindId: string): Operation {
  const { kind, threadsPerCm, thicknessMm, colour } = usualCloth(kindId)
  return { kind: 'change-cloth', set: { kind, threadsPerCm, thicknessMm, colour } }
}

/** The threads at hand. */
function Threads({ threads }: { threads: readonly SamplerThread[] }) {
  const kinds = THREAD_KINDS.map((kind) => ({ value: `${kind.id} ${kind.weight ?? ''}`, label: nameThread(kind) }))
  const colour = (thread: SamplerThread, set: Partial<SamplerThread['colour']>): void =>
    edit({ kind: 'change-thread', id: thread.id, set: { colour: { ...thread.colour, ...set } } })
  return (
    <div style={{ display: 'grid', gap: 7 }}>
      <h3>Threads</h3>
      {threads.map((thread, index) => (
        <div key={thread.id} style={{ display: 'grid', gridTemplateColumns: '34px minmax(0, 1fr) minmax(0, 1fr) auto', gap: 7, alignItems: 'center' }}>
          <ColorPicker
            value={thread.colour.hex}
            disabledAlpha
            presets={[{ label: 'Named colours', key: 'named', colors: PALETTE.map((one) => one.hex) }]}
            onChangeComplete={(chosen) => {
              const hex = chosen.toHexString().slice(0, 7)
              const named = PALETTE.find((one) => one.hex.toLowerCase() === hex.toLowerCase())
              colour(thread, named ?? { hex })
            }}
          />
          <Input
            key={thread.colour.name}
            aria-label={`Colour of thread ${index + 1}`}
            defaultValue={thread.colour.name}
            maxLength={120}
            onBlur={(event) =>
              event.target.value.trim() !== '' && event.target.value !== thread.colour.name && colour(thread, { name: event.target.value.trim() })
            }
          />
          <Select
            aria-label={`Kind of thread ${index + 1}`}
            value={`${thread.kind} ${thread.weight ?? ''}`}
            options={kinds}
            onChange={(value) => {
              const [kind = '', weight = ''] = value.split(' ')
              edit({
                kind: 'change-thread',
                id: thread.id,
                ...(weight === '' ? { set: { kind }, clear: ['weight', 'figures'] } : { set: { kind, weight }, clear: ['figures'] }),
              })
            }}
          />
          <Button size="small" type="text" aria-label={`Remove ${thread.colour.name}`} onClick={() => edit({ kind: 'remove-thread', id: thread.id })}>
            Remove
          </Button>
        </div>
      ))}
      <div>
        <Button
          size="small"
          onClick={() =>
            edit({
              kind: 'add-thread',
              thread: { id: newId('t'), kind: 'stranded-cotton', colour: nextColour(threads) },
              at: threads.length,
            })
          }
        >
          Add a thread
        </Button>{' '}
        <FromStores threads={threads} />
      </div>
    </div>
  )
}
