import { type BoardFilter, type BoardSort, boardFilters, boardSorts } from '@core/plan/boardOrder';
import { memo } from 'react';
import { OneOf } from '../../ui/Choice';
import styles from './compare.module.css';

const filterWords: Readonly<Record<BoardFilter, string>> = {
  all: 'every slot',
  open: 'open slots',
  settled: 'settled slots',
  lookAgain: 'worth another look',
};
const sortWords: Readonly<Record<BoardSort, string>> = {
  number: 'by spot and number',
  importance: 'what counts most first',
  cash: 'dearest choice first',
  hours: 'longest work first',
  day: 'latest ready first',
};

/** What of the board is shown, and in which order. A choice on the board changes nothing of it. */
export const BoardTools = memo(function BoardTools(props: {
  filter: BoardFilter;
  sort: BoardSort;
  shown: number;
  onChange: (key: 'show' | 'by', value: string) => void;
}) {
  const { filter, sort, shown, onChange } = props;
  return (
    <div className={styles.viewTools}>
      <OneOf
        size="small"
        label="Show"
        value={filter}
        onChange={(value) => onChange('show', value)}
        options={boardFilters.map((value) => ({ value, label: filterWords[value] }))}
      />
      <OneOf
        size="small"
        label="In order"
        value={sort}
        onChange={(value) => onChange('by', value)}
        options={boardSorts.map((value) => ({ value, label: sortWords[value] }))}
      />
      {shown === 0 && (
        <span role="status" className="muted">
          No slot is {filter === 'open' ? 'open' : filter === 'settled' ? 'settled yet' : 'worth another look'}.
        </span>
      )}
    </div>
  );
});
