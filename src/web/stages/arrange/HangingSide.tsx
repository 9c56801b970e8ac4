import type { LadderSheet } from '@core/arrange/hanging/ladderSheet';
import type { LookThing } from '@core/arrange/look/lookThing';
import type { LookRow, SpotRow } from '@core/model/rows';
import { HangInRow } from './HangInRow';
import { HoleList } from './HoleList';
import { LadderFiles } from './LadderFiles';
import { WallFacts } from './WallFacts';

/** What is done beside the sheet for the ladder: things hung in a row, what the wall is, files, and holes to fill. */
export function HangingSide(props: { sheet: LadderSheet; spot: SpotRow; look: LookRow; things: readonly LookThing[] }) {
  const { sheet, spot, look, things } = props;
  return (
    <>
      <HangInRow sheet={sheet} spot={spot} things={things} />
      <WallFacts spot={spot} />
      <LadderFiles sheet={sheet} spot={spot} look={look} />
      <HoleList spot={spot} />
    </>
  );
}
