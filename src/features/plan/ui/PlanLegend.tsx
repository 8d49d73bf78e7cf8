import { say } from '@/messages/say';
import type { ReactNode } from 'react';
import { Knot } from '@/charts/Knot';
import { Mark } from '@/charts/marks';

const Entry = ({ sign, children }: { sign: ReactNode; children: ReactNode }) => (
  <li className="flex items-center gap-1.5">
    {sign}
    {children}
  </li>
);
const Swatch = ({ fill }: { fill: string }) => (
  <svg width="26" height="14" aria-hidden="true">
    <rect x=".5" y=".5" width="25" height="13" fill={fill} stroke="var(--color-ink)" />
  </svg>
);

/** What the plan is drawn with. A row is no thermometer: it is full where the batch is expected hot, and low where it has cooled. */
export const PlanLegend = () => (
  <ul
    className="px-4 pt-2 flex flex-wrap gap-x-6 gap-y-1 text-fine text-ink-2 max-md:hidden"
    aria-label={say('plan.legend')}
  >
    <Entry sign={<Swatch fill="var(--color-prove-wash)" />}>{say('plan.legendHeat')}</Entry>
    <Entry sign={<Swatch fill="var(--color-cured)" />}>{say('plan.legendCool')}</Entry>
    <Entry sign={<Mark name="turn" size={18} />}>{say('plan.legendTurning')}</Entry>
    <Entry
      sign={
        <svg width="34" height="16" aria-hidden="true">
          <Knot cx={17} cy={8} r={7.5} />
        </svg>
      }
    >
      {say('plan.legendMet')}
    </Entry>
    <Entry sign={<Swatch fill="none" />}>{say('plan.legendScale')}</Entry>
  </ul>
);
