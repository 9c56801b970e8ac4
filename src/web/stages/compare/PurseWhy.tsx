import { explainPurse, type PurseFigure } from '@core/plan/why/explainPurse';
import { Drawer } from 'antd';
import { memo } from 'react';
import { usePlan } from '../../app/projectStore';
import { WhyTree } from './WhyTree';

const titles: Record<PurseFigure, string> = {
  money: 'Why this much money',
  hands: 'Why these hours',
  days: 'Why these days',
};

/** The reasons of a gauge of the purse, from the right. */
export const PurseWhy = memo(function PurseWhy(props: { figure: PurseFigure | null; onClose: () => void }) {
  return (
    <Drawer
      open={props.figure !== null}
      onClose={props.onClose}
      title={props.figure ? titles[props.figure] : ''}
      size={380}
    >
      {props.figure && <Reasons figure={props.figure} />}
    </Drawer>
  );
});

/** Only what is open follows the plan. */
function Reasons(props: { figure: PurseFigure }) {
  return <WhyTree tree={explainPurse(usePlan(), props.figure)} />;
}
