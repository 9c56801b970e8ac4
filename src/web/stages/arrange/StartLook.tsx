import type { SpotRow } from '@core/model/rows';
import { Button } from 'antd';
import { Empty } from '../../ui/basics';
import { useNewLook } from './useNewLook';

/** A spot on which nothing is arranged yet: how to begin. */
export function StartLook(props: { spot: SpotRow; onStarted: (lookId: string) => void }) {
  const { fromSketch, empty, slots } = useNewLook(props.spot, props.onStarted);
  return (
    <Empty title={`Nothing is arranged on ${props.spot.name} yet`}>
      <p>
        {slots > 0
          ? `Its sketch calls for ${slots === 1 ? 'one thing' : `${slots} things`}: begin with them where they are drawn, in their true size.`
          : 'Its sketch calls for nothing yet: begin empty, and put in what the house has.'}
      </p>
      <p>
        {slots > 0 && (
          <Button type="primary" onClick={() => fromSketch('First look')}>
            Start from the sketch
          </Button>
        )}{' '}
        <Button type={slots > 0 ? 'default' : 'primary'} onClick={() => empty('First look')}>
          Start empty
        </Button>
      </p>
    </Empty>
  );
}
