import { Link, Navigate, Outlet, useLocation, useParams } from 'react-router';
import { Contained } from './Contained';
import styles from './shell.module.css';
import { stages } from './stages';
import { useWorksAt } from './useWorksAt';

/** What a project opens with: the board, or for whoever only hunts and makes, the hunt. */
export function ProjectHome() {
  return <Navigate to={useWorksAt()('compare') ? 'compare' : 'hunt'} replace />;
}

/** The page that was asked for; where it is no part of one's work, what is. */
export function OwnPart() {
  const { pathname } = useLocation();
  const { projectId = '' } = useParams();
  const worksAt = useWorksAt();
  const page = pathname.split('/').slice(3).join('/');
  if (page === '' || worksAt(page))
    return (
      <Contained>
        <Outlet />
      </Contained>
    );
  return (
    <main className={styles.page}>
      <h1>Your part here is the hunt and the bench</h1>
      <p>This page is for those who plan the project. What there is to find, to buy and to make stands on yours:</p>
      <ul>
        {stages
          .filter(({ path }) => worksAt(path))
          .map(({ path, about }) => (
            <li key={path}>
              <Link to={`/p/${projectId}/${path}`}>{about}</Link>
            </li>
          ))}
      </ul>
    </main>
  );
}
