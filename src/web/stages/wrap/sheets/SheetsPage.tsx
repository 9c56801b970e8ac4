import { Navigate, useParams } from 'react-router';
import { later } from '../../../ui/later';

const ClientPaper = later(async () => (await import('./ClientPaper')).ClientPaper);
const MakersPaper = later(async () => (await import('./MakersPaper')).MakersPaper);
const BoughtPaper = later(async () => (await import('./BoughtPaper')).BoughtPaper);

/** One of the sheets of a project, as it is printed. */
export function SheetsPage() {
  const { which } = useParams();
  switch (which) {
    case 'client':
      return <ClientPaper />;
    case 'makers':
      return <MakersPaper />;
    case 'bought':
      return <BoughtPaper />;
    default:
      return <Navigate to="../wrap?tab=sheets" replace />;
  }
}
