import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api } from '../../app/api';

/** Who is signed in, with the way to devices and people; nothing where nobody is asked. */
export function WhoHere() {
  const { data } = useQuery({ queryKey: ['me'], queryFn: api.me, staleTime: Number.POSITIVE_INFINITY, retry: false });
  if (!data?.person) return null;
  return (
    <span style={{ marginLeft: 'auto' }}>
      {data.person.name} · <Link to="/devices">Devices and people</Link>
    </span>
  );
}
