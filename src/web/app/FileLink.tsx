import { addressOf, type PlacesOf } from '@contract/addresses';
import type { Request } from '@contract/endpoints';
import { type ReactNode, useState } from 'react';
import { inTabStudio } from '../ui/tabStudio';
import { api } from './api';
import { problemOf } from './gate/problemOf';

/** A link to a file that the server makes; where the pass phrase is wanted for it, that is asked for first. */
export function FileLink<N extends 'exportProject' | 'exportHouse' | 'exportStudio'>(props: {
  name: N;
  asked: Request<N>;
  children: ReactNode;
}) {
  const { name, asked } = props;
  const [problem, setProblem] = useState('');
  const { query } = asked as { query?: object };
  const { places } = asked as { places: { [P in PlacesOf<N>]: string } };
  const save = async () => {
    setProblem('');
    try {
      await api.saveExport(name, asked);
    } catch (error) {
      setProblem(problemOf(error));
    }
  };
  return (
    <>
      <a
        href={inTabStudio(addressOf(name, places, query))}
        download
        onClick={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        {props.children}
      </a>
      {problem && <span role="alert"> {problem}</span>}
    </>
  );
}
