import { Link } from 'react-router';
import { useMe } from '../../app/useMe';

/** Who is signed in, with the way to devices and people; nothing where nobody is asked. */
export function WhoHere() {
  const me = useMe();
  if (!me?.person) return null;
  return (
    <span style={{ marginLeft: 'auto' }}>
      {me.person.name} · <Link to="/devices">Devices and people</Link>
    </span>
  );
}
