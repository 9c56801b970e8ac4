import { shoppingRecordDocument, shoppingRecordOf, shoppingRecordTable } from '@core/sheets/shoppingRecord';
import { useRows } from '../../../app/projectStore';
import { Paper } from './Paper';

/** What was bought, where, for what, and where its receipt is. */
export function BoughtPaper() {
  const { project, ...rows } = useRows();
  const lines = shoppingRecordOf({ project, ...rows });
  return (
    <Paper
      sheet={shoppingRecordDocument(project.name, project.currency, lines)}
      table={() => shoppingRecordTable(project.currency, lines)}
      data={() => ({ project: project.name, currency: project.currency, lines })}
    />
  );
}
