import {
  cameFromSentence,
  earnedSentence,
  factorsSentence,
  historySentence,
  worksSentence,
} from '@core/closing/historyWords';
import { factorsOverTime, favoriteWorks, historySums, type PastProject } from '@core/closing/studioHistory';
import { writeTable } from '@core/formats/table/writeTable';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link } from 'react-router';
import { api } from '../../app/api';
import { HouseProvider, useHouse } from '../../app/houseStore';
import { saveFile } from '../../app/saveFile';
import shell from '../../app/shell.module.css';
import { Empty } from '../../ui/basics';
import { Charted } from '../../ui/Charted';
import { later } from '../../ui/later';
import { AllBills } from './AllBills';
import styles from './history.module.css';
import { FactorsTable, ProjectsTable, projectsTable, WorksTable } from './historyTables';

const HoursEarnedChart = later(async () => (await import('./historyCharts')).HoursEarnedChart);
const WorksChart = later(async () => (await import('./historyCharts')).WorksChart);
const FactorsChart = later(async () => (await import('./historyCharts')).FactorsChart);

/** How many kinds of work are compared in one picture. */
const MOST_WORKS = 6;

/** All projects of the studio by what they came to: money, hours, what an hour earned, what was worked and learned. */
export function HistoryPage() {
  return (
    <>
      <header className={shell.top}>
        <Link to="/" className={shell.mark} aria-label="Euporia, all projects">
          <i>Eu</i>poria
        </Link>
        <span className={shell.project}>History</span>
        <span className={shell.right}>
          <Link to="/">All projects</Link>
        </span>
      </header>
      <main className={shell.page}>
        <HouseProvider
          skeleton={<p aria-busy="true">Opening the history …</p>}
          failed={(error, retry) => (
            <div role="alert">
              <p>{error instanceof Error ? error.message : 'The history cannot be opened just now.'}</p>
              <Button onClick={retry}>Try again</Button>
            </div>
          )}
        >
          <History />
        </HouseProvider>
      </main>
    </>
  );
}

/** While figures are being added up, they are asked for again. */
const SOON_MS = 900;

function History() {
  const { rows, locale } = useHouse();
  const query = useQuery({
    queryKey: ['projects'],
    queryFn: api.projects,
    staleTime: 0,
    refetchInterval: ({ state }) => (state.data?.projects.some(({ isStale }) => isStale) ? SOON_MS : false),
  });
  if (query.isPending) return <p aria-busy="true">Opening the history …</p>;
  if (query.isError)
    return (
      <div role="alert">
        <p>{query.error.message}</p>
        <Button onClick={() => void query.refetch()}>Try again</Button>
      </div>
    );
  const projects = query.data.projects.flatMap(({ id, name, currency, summary }): PastProject[] =>
    summary?.closing ? [{ id, name, currency, closing: summary.closing }] : [],
  );
  const isAdding = query.data.projects.some(({ isStale }) => isStale);
  const begun = projects.filter(({ closing }) => closing.state !== 'planned');
  if (begun.length === 0)
    return (
      <div className={styles.page}>
        <Empty title="No history yet">
          <p>
            Once something is paid or worked in a project, it is listed here with its money, its hours and what an hour
            earned.
          </p>
        </Empty>
        <AllBills />
      </div>
    );
  const sums = historySums(projects);
  const works = favoriteWorks(projects);
  const top = works.slice(0, MOST_WORKS).map(({ work }) => work);
  const factors = factorsOverTime(rows.logEntries, top, locale.timeZone);
  const earned = begun.filter(({ closing }) => closing.saved !== null);
  return (
    <div className={styles.page}>
      {sums.length === 0 ? (
        <p className={styles.lead}>Nothing is finished yet: what is at work is told as it is planned.</p>
      ) : (
        sums.map((of) => (
          <p key={of.currency} className={styles.lead}>
            {historySentence(of)}
          </p>
        ))
      )}
      {isAdding && <p role="status">Still adding up …</p>}
      <section className={styles.box} aria-labelledby="projects">
        <div className={styles.head}>
          <h3 id="projects">Project by project</h3>
          <Button
            size="small"
            onClick={() => {
              const { fields, rows: cells } = projectsTable(begun);
              saveFile('euporia-history.csv', 'text/csv', writeTable(fields, cells));
            }}
          >
            As a table (CSV)
          </Button>
        </div>
        <div className={styles.scroll}>
          <ProjectsTable projects={begun} />
        </div>
      </section>
      <div className={styles.charts}>
        <Charted
          title="What an hour earned"
          sentence={earnedSentence(begun)}
          isEmpty={earned.length === 0}
          chart={<HoursEarnedChart projects={earned} />}
          table={<ProjectsTable projects={earned} />}
        />
        <Charted
          title="What was worked most"
          sentence={worksSentence(works)}
          isEmpty={works.length === 0}
          chart={<WorksChart works={works.slice(0, 10)} />}
          table={<WorksTable works={works} />}
        />
        <Charted
          title="How your factors went"
          sentence={factorsSentence(factors)}
          isEmpty={factors.length === 0}
          chart={factors.length < 2 ? null : <FactorsChart months={factors} works={top} />}
          table={<FactorsTable months={factors} works={top} />}
        />
        <section className={styles.box} aria-label="Where it came from">
          <h3>Where it came from</h3>
          {sums.map((of) => (
            <p key={of.currency}>
              {sums.length > 1 && `${of.currency}: `}
              {cameFromSentence(of)}
            </p>
          ))}
          {sums.length === 0 && <p className="muted">Told once a project is finished.</p>}
        </section>
      </div>
      <AllBills />
    </div>
  );
}
