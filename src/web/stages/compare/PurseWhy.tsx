import { explainPurse, type PurseFigure } from '@core/plan/why/explainPurse';
import { Drawer } from 'antd';
import { useProject } from '../../app/projectStore';
import { WhyTree } from './WhyTree';

const titles: Record<PurseFigure, string> = {
  money: 'Why this much money',
  hands: 'Why these hours',
  days: 'Why these days',
};

/** The reasons of a gauge of the purse, from the right. */
export function PurseWhy(props: { figure: PurseFigure | null; onClose: () => void }) {
  const { plan } = useProject();
  return (
    <Drawer
      open={props.figure !== null}
      onClose={props.onClose}
      title={props.figure ? titles[props.figure] : ''}
      size={380}
    >
      {props.figure && <WhyTree tree={explainPurse(plan, props.figure)} />}
    </Drawer>
  );
}
