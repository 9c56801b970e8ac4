import { currencyCodes } from '@core/kernel/currencies.data';
import { Button, Checkbox, Form } from 'antd';
import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { ApiError, api } from '../../app/api';
import shell from '../../app/shell.module.css';
import { type Entry, OneOf } from '../../ui/Choice';
import { Input } from '../../ui/input';
import { SideBySide } from '../../ui/layout';
import styles from './brief.module.css';
import { defaultProject } from './projectDefaults';
import type { Draft, readDraft } from './readDraft';

const DRAFT = 'euporia.newProject';

function emptyDraft(): Draft {
  const defaults = defaultProject('', navigator.language, Intl.DateTimeFormat().resolvedOptions().timeZone);
  return {
    name: '',
    room: '',
    budget: '',
    currency: defaults.currency,
    units: defaults.units,
    contingency: '10',
    taxPercent: '0',
    taxIncluded: defaults.tax.included,
    hours: '',
    skill: 'practiced',
    timeIsFree: false,
    hourValue: '15',
    revealDate: '',
  };
}

/** A new project: name and budget are asked, all else has a default. What is typed survives a reload. */
export function NewProjectPage() {
  const navigate = useNavigate();
  const [form] = Form.useForm<Draft>();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [ids] = useState(() => {
    const kept = JSON.parse(sessionStorage.getItem(`${DRAFT}.ids`) ?? 'null') as {
      key: string;
      project: string;
    } | null;
    const made = kept ?? { key: crypto.randomUUID(), project: crypto.randomUUID() };
    sessionStorage.setItem(`${DRAFT}.ids`, JSON.stringify(made));
    return made;
  });
  useEffect(() => {
    const kept = localStorage.getItem(DRAFT);
    form.setFieldsValue(kept ? { ...emptyDraft(), ...(JSON.parse(kept) as Partial<Draft>) } : emptyDraft());
  }, [form]);
  const timeIsFree = Form.useWatch('timeIsFree', form);

  const make = async () => {
    const draft = { ...emptyDraft(), ...form.getFieldsValue(true) } as Draft;
    let read: ReturnType<typeof readDraft>;
    try {
      // What checks a project is large, and comes when there is one to be checked.
      read = (await import('./readDraft')).readDraft(draft, ids.project);
    } catch {
      setProblem('What checks the form did not come: what is typed stays here. Press once more with a connection.');
      return;
    }
    form.setFields((Object.keys(draft) as (keyof Draft)[]).map((name) => ({ name, errors: [] })));
    if ('errors' in read) {
      form.setFields(read.errors);
      form.scrollToField(read.errors[0]?.name ?? 'name', { focus: true });
      return;
    }
    setBusy(true);
    setProblem(null);
    try {
      // The key stands for this intent: pressing twice, or again after a lost answer, makes one project.
      await api.command({
        key: ids.key,
        projectId: ids.project,
        kind: 'createProject',
        payload: { project: read.project, spot: null },
        expect: {},
      });
      localStorage.removeItem(DRAFT);
      sessionStorage.removeItem(`${DRAFT}.ids`);
      void navigate(`/p/${ids.project}/brief`);
    } catch (error) {
      if (error instanceof ApiError && error.answer.code === 'key.reused') {
        const fresh = { key: crypto.randomUUID(), project: ids.project };
        Object.assign(ids, fresh);
        sessionStorage.setItem(`${DRAFT}.ids`, JSON.stringify(fresh));
        setProblem('The form changed since it was sent. Press once more.');
      } else setProblem(error instanceof Error ? error.message : 'Something went wrong.');
    } finally {
      setBusy(false);
    }
  };

  return (
    <>
      <header className={shell.top}>
        <Link to="/" className={shell.mark} aria-label="Euporia, all projects">
          <i>Eu</i>poria
        </Link>
        <span className={shell.project}>New project</span>
      </header>
      <main className={styles.page}>
        <h1>A room, and what you have for it</h1>
        <p className="muted">Only name and budget are needed; change the rest here or later in the brief.</p>
        <Form
          form={form}
          layout="vertical"
          requiredMark={false}
          onFinish={() => void make()}
          onValuesChange={() => localStorage.setItem(DRAFT, JSON.stringify(form.getFieldsValue(true)))}
        >
          <div className={styles.sheet}>
            <SideBySide across={2}>
              <Form.Item name="name" label="Name">
                <Input autoFocus placeholder="Attic bedroom" autoComplete="off" />
              </Form.Item>
              <Form.Item name="budget" label="Budget">
                <Input inputMode="decimal" placeholder="640" autoComplete="off" />
              </Form.Item>
              <Form.Item name="room" label="Room">
                <Input autoComplete="off" />
              </Form.Item>
              <Form.Item name="revealDate" label="Reveal date">
                <Input type="date" />
              </Form.Item>
            </SideBySide>
          </div>
          <div className={styles.sheet}>
            <SideBySide across={3}>
              <Form.Item name="currency" label="Currency">
                <Listed label="Currency" options={currencyCodes.map((code) => ({ value: code, label: code }))} />
              </Form.Item>
              <Form.Item name="units" label="Lengths in">
                <Listed
                  label="Lengths in"
                  options={[
                    { value: 'us', label: 'inches' },
                    { value: 'metric', label: 'centimeters' },
                  ]}
                />
              </Form.Item>
              <Form.Item name="contingency" label="Kept back for surprises, %">
                <Input inputMode="decimal" autoComplete="off" />
              </Form.Item>
              <Form.Item name="taxPercent" label="Sales tax or VAT, %">
                <Input inputMode="decimal" autoComplete="off" />
              </Form.Item>
              <Form.Item name="taxIncluded" label="On price tags" valuePropName="checked">
                <Checkbox>tax is in the price already</Checkbox>
              </Form.Item>
            </SideBySide>
          </div>
          <div className={styles.sheet}>
            <SideBySide across={3}>
              <Form.Item name="hours" label="Hours on hand">
                <Input inputMode="decimal" placeholder="26" autoComplete="off" />
              </Form.Item>
              <Form.Item name="skill" label="Skill with a brush">
                <Listed
                  label="Skill with a brush"
                  options={[
                    { value: 'beginner', label: 'beginner' },
                    { value: 'practiced', label: 'practiced' },
                    { value: 'professional', label: 'professional' },
                  ]}
                />
              </Form.Item>
              <Form.Item name="hourValue" label="An hour of yours is worth">
                <Input inputMode="decimal" disabled={timeIsFree === true} autoComplete="off" />
              </Form.Item>
              <Form.Item name="timeIsFree" valuePropName="checked">
                <Checkbox>my time is free</Checkbox>
              </Form.Item>
            </SideBySide>
          </div>
          {problem && (
            <p role="alert" style={{ color: 'var(--brick)' }}>
              {problem}
            </p>
          )}
          <Button type="primary" htmlType="submit" size="large" loading={busy}>
            Make the project
          </Button>
        </Form>
      </main>
    </>
  );
}

/** A closed list of the form, which gives it what is chosen and is told what is. */
function Listed(props: {
  label: string;
  options: readonly Entry<string>[];
  id?: string;
  value?: string;
  onChange?: (value: string) => void;
}) {
  const { label, options, id, value = null, onChange } = props;
  return (
    <OneOf
      label={label}
      options={options}
      value={value}
      onChange={(chosen) => onChange?.(chosen)}
      width="100%"
      {...(id === undefined ? {} : { id })}
    />
  );
}
