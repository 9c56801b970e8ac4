import { useEffect, useRef } from 'react';
import { NavLink, useLocation } from 'react-router';
import { useRows } from '../../app/projectStore';
import styles from './hunt.module.css';

/** The pages of the hunt: the card in the shop, the finds, the money, the places. */
export function HuntNav() {
  const { project } = useRows();
  const { pathname } = useLocation();
  const nav = useRef<HTMLElement>(null);
  // On a phone not all of them are in sight: the one that is open is.
  useEffect(() => {
    const open = [...(nav.current?.children ?? [])].find((link) => link.getAttribute('href') === pathname);
    if (nav.current && open instanceof HTMLElement)
      nav.current.scrollLeft = open.offsetLeft - nav.current.clientWidth / 3;
  }, [pathname]);
  const at = (path: string) => `/p/${project.id}/${path}`;
  const pages = [
    { to: at('hunt/card'), name: 'Decide' },
    { to: at('hunt'), name: 'Finds' },
    { to: at('hunt/trips'), name: 'Trips' },
    { to: at('hunt/offers'), name: 'Offers' },
    { to: at('hunt/ads'), name: 'Ads' },
    { to: at('hunt/ledger'), name: 'Money' },
    { to: at('hunt/places'), name: 'Places' },
  ];
  return (
    <nav ref={nav} className={styles.pages} aria-label="Hunt">
      {pages.map(({ to, name }) => (
        <NavLink key={to} to={to} end>
          {name}
        </NavLink>
      ))}
    </nav>
  );
}
