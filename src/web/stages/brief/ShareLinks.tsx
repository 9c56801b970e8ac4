import { LONGEST_LINK_DAYS } from '@contract/linkDays';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { api } from '../../app/api';
import { problemOf } from '../../app/gate/problemOf';
import { copied } from '../../app/plainHttp';
import { useRows } from '../../app/projectStore';
import { placeOf } from '../../app/reach';
import { useMe } from '../../app/useMe';
import { OneOf } from '../../ui/Choice';
import styles from './brief.module.css';

const dayChoices = [7, 30, LONGEST_LINK_DAYS];
const dateOf = (ms: number) => new Intl.DateTimeFormat('en-US', { dateStyle: 'medium' }).format(ms);

/** Links for a client: what the project will look like, for a while, without costs unless that is meant. */
export function ShareLinks() {
  const { project } = useRows();
  const me = useMe();
  const client = useQueryClient();
  const queryKey = ['links', project.id];
  const isShown = me?.access === 'signedIn' && me.person?.role !== 'helper';
  const links = useQuery({ queryKey, queryFn: () => api.links(project.id), enabled: isShown, retry: false });
  const [days, setDays] = useState(30);
  const [showsCosts, setShowsCosts] = useState(false);
  const [showsPhotos, setShowsPhotos] = useState(false);
  const [made, setMade] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  if (!isShown) return null;
  const attempt = async (work: () => Promise<void>) => {
    setSaid('');
    try {
      await work();
    } catch (error) {
      setSaid(problemOf(error));
    }
  };
  const make = () =>
    attempt(async () => {
      const { secret, address, links: present } = await api.share(project.id, { days, showsCosts, showsPhotos });
      client.setQueryData(queryKey, { links: present });
      setMade(`${placeOf(address)}/sheet#${secret}`);
    });
  const end = (linkId: string) =>
    attempt(async () => {
      client.setQueryData(queryKey, await api.endLink(project.id, linkId));
      setMade(null);
    });
  return (
    <section className={styles.sheet} aria-label="For the client">
      <h2>For the client</h2>
      <p className="muted">
        A link to one sheet: the looks, the colors, the pieces with where they come from. It opens nothing else, and
        ends by itself.
      </p>
      <p className={styles.shareLine}>
        <OneOf
          label="Good for"
          value={days}
          onChange={setDays}
          options={dayChoices.map((value) => ({ value, label: `${value} days` }))}
        />
        <Checkbox checked={showsCosts} onChange={(event) => setShowsCosts(event.target.checked)}>
          With what it costs
        </Checkbox>
        <Checkbox checked={showsPhotos} onChange={(event) => setShowsPhotos(event.target.checked)}>
          With the photos, before and after
        </Checkbox>
        <Button type="primary" onClick={() => void make()}>
          Make a link
        </Button>
      </p>
      {made && (
        <p role="status">
          <b>Told this once:</b> <code className={styles.secret}>{made}</code>{' '}
          <Button
            size="small"
            onClick={() =>
              void copied(made).then((isDone) => setSaid(isDone ? 'Copied' : 'Mark it and copy it by hand'))
            }
          >
            Copy
          </Button>
        </p>
      )}
      {said && <p role="alert">{said}</p>}
      {(links.data?.links.length ?? 0) > 0 && (
        <ul className={styles.shareList} aria-label="Links that are good">
          {links.data?.links.map((link) => (
            <li key={link.id}>
              <span>
                Until {dateOf(link.untilMs)}, {link.showsCosts ? 'with costs' : 'without costs'}
                {link.showsPhotos ? ', with photos' : ''}
                {link.by && `, by ${link.by}`}
              </span>
              <Button
                size="small"
                onClick={() => void end(link.id)}
                aria-label={`End the link until ${dateOf(link.untilMs)}`}
              >
                End it
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
