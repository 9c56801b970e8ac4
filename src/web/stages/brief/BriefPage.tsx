import { currencyCodes } from '@core/kernel/currencies.data';
import type { ProjectRow } from '@core/model/rows';
import type { Brief } from '@core/state/brief';
import { Checkbox } from 'antd';
import { Suspense } from 'react';
import { useCommands, useRows } from '../../app/projectStore';
import { Choice } from '../../ui/Choice';
import { DateField, HoursField, MoneyField, NumberField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import styles from './brief.module.css';
import { Feeling } from './Feeling';
import { Palette } from './Palette';
import { BeforePhotos, Inspirations } from './Photos';
import { Place } from './Place';
import { ShareLinks } from './ShareLinks';
import { ThisProject } from './ThisProject';
import { UntilDeadline } from './UntilDeadline';
import { Weeks } from './Weeks';

/** The brief of the open project: money, time, household, schools. Every field saves when it is left. */
export function BriefPage() {
  const rows = useRows();
  const { run } = useCommands();
  const { project } = rows;
  const set = (values: Partial<Omit<ProjectRow, 'id' | 'version'>>) => run('editProject', { id: project.id, values });
  const setBrief = (values: Partial<Brief>) => set({ brief: { ...project.brief, ...values } });
  return (
    <main className={styles.page}>
      <h1>Brief</h1>
      <Feeling />
      <BeforePhotos />
      <Palette />
      <section className={styles.sheet}>
        <h2>Room and money</h2>
        <SideBySide across={2}>
          <TextField label="Name" value={project.name} least={1} onCommit={(name) => set({ name })} />
          <TextField label="Room" value={project.room} onCommit={(room) => set({ room })} />
          <MoneyField
            label="Budget"
            value={project.budget}
            currency={project.currency}
            onCommit={(budget) => set({ budget })}
          />
          <MoneyField
            label="What you would rather spend"
            value={project.brief.wishedBudget}
            nullable
            currency={project.currency}
            onCommit={(wishedBudget) => setBrief({ wishedBudget })}
            hint="empty: the budget itself; the purse says how you stand to it"
          />
          <NumberField
            label="Kept back for surprises"
            suffix="%"
            value={project.contingencyThousandths / 1000}
            least={0}
            most={100}
            onCommit={(value) => set({ contingencyThousandths: Math.round(value * 1000) })}
          />
          <NumberField
            label="Sales tax or VAT"
            suffix="%"
            value={project.tax.percentThousandths / 1000}
            least={0}
            most={50}
            onCommit={(value) => set({ tax: { ...project.tax, percentThousandths: Math.round(value * 1000) } })}
          />
          <div style={{ paddingTop: 22 }}>
            <Checkbox
              checked={project.tax.included}
              onChange={(event) => set({ tax: { ...project.tax, included: event.target.checked } })}
            >
              tax is in the price already
            </Checkbox>
          </div>
          <Choice
            label="Currency"
            value={project.currency}
            options={currencyCodes.map((code) => ({ value: code, label: code }))}
            onChange={(currency) => set({ currency })}
            hint="Figures keep their numbers; nothing is converted."
          />
          <Choice
            label="Lengths in"
            value={project.units}
            options={[
              { value: 'us', label: 'inches' },
              { value: 'metric', label: 'centimeters' },
            ]}
            onChange={(units) => set({ units })}
          />
        </SideBySide>
      </section>
      <section className={styles.sheet}>
        <h2>Time</h2>
        <SideBySide across={2}>
          <HoursField
            label="Hours on hand"
            value={project.hoursOnHandMinutes}
            nullable
            onCommit={(hoursOnHandMinutes) => set({ hoursOnHandMinutes })}
          />
          <DateField
            label="Reveal date"
            value={project.revealDate}
            hint="year-month-day; everything is ready before this day begins"
            onCommit={(revealDate) => set({ revealDate })}
          />
          <DateField
            label="Stands until"
            value={project.standsUntil}
            hint="pieces of the house are spoken for until then; empty while nobody knows"
            onCommit={(standsUntil) => set({ standsUntil })}
          />
          <DateField
            label="You leave the place on"
            value={project.brief.leavingDate}
            hint="moving out, the end of a let; what is not ready by then no longer fits"
            onCommit={(leavingDate) => setBrief({ leavingDate })}
          />
          <MoneyField
            label="An hour of yours is worth"
            value={project.hourValue}
            nullable
            currency={project.currency}
            onCommit={(hourValue) => set({ hourValue })}
            hint="empty: my time is free"
          />
          <Choice
            label="Skill with a brush"
            value={project.skill}
            options={[
              { value: 'beginner', label: 'beginner' },
              { value: 'practiced', label: 'practiced' },
              { value: 'professional', label: 'professional' },
            ]}
            onChange={(skill) => set({ skill })}
          />
        </SideBySide>
        <Weeks />
        <Suspense fallback={null}>
          <UntilDeadline />
        </Suspense>
      </section>
      <section className={styles.sheet}>
        <h2>Schools</h2>
        <SideBySide across={2}>
          <Choice
            label="Coats"
            value={project.school}
            options={[
              { value: 'untilHidden', label: 'until it hides (computed)' },
              { value: 'alwaysTwo', label: 'always two' },
              { value: 'asLabel', label: 'as the label says' },
            ]}
            onChange={(school) => set({ school })}
          />
          <Choice
            label="What may still show"
            value={project.eye}
            options={[
              { value: 'strict', label: 'strict: nothing' },
              { value: 'ordinary', label: 'ordinary: not side by side' },
              { value: 'rustic', label: 'rustic: a little' },
            ]}
            onChange={(eye) => set({ eye })}
          />
          <Choice
            label="Preparation"
            value={project.brief.preparation}
            options={[
              { value: 'scuffAndGo', label: 'scuff and go' },
              { value: 'cleanSandPrime', label: 'clean, sand, prime' },
            ]}
            onChange={(preparation) => setBrief({ preparation })}
          />
          <Choice
            label="Arranging"
            value={project.brief.arranging}
            options={[
              { value: 'uneven', label: 'uneven on purpose' },
              { value: 'mirror', label: 'mirror the sides' },
            ]}
            onChange={(arranging) => setBrief({ arranging })}
          />
          <Choice
            label="Amount"
            value={project.brief.amount}
            options={[
              { value: 'layerUp', label: 'layer up' },
              { value: 'pareBack', label: 'pare back' },
            ]}
            onChange={(amount) => setBrief({ amount })}
          />
          <Choice
            label="Grouping"
            value={project.brief.grouping}
            options={[
              { value: 'odd', label: 'odd numbers' },
              { value: 'free', label: 'free' },
            ]}
            onChange={(grouping) => setBrief({ grouping })}
          />
        </SideBySide>
      </section>
      <Place />
      <Inspirations />
      <ShareLinks />
      <ThisProject />
    </main>
  );
}
