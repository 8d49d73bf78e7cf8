import { tempText } from '@/core/quantity/format';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { loadOfflineRoundData } from '../queries';
import { AirStrip } from '@/features/yard/ui/AirStrip';
import { lotsGiven } from '@/features/lots/server/queries';
import { LotReadings } from '@/features/lots/ui/LotPiles';
import { lotReadings } from '@/features/lots/view';
import { RoundApp } from '../../ui/RoundApp';

const TWO_DAYS_MS = 172_800_000;

export async function RoundPage() {
  const [s, data] = [await loadPageContext(), await loadOfflineRoundData()];
  return (
    <PageShell
      s={s}
      place="round"
      wholeOnPhone
      sky={
        <AirStrip
          air={s.air}
          from={s.now - TWO_DAYS_MS}
          to={s.now}
          label={(c) => tempText(c, s.unit)}
        />
      }
    >
      <RoundApp initial={data} also={<LotReadings due={lotReadings(await lotsGiven(s))} />} />
    </PageShell>
  );
}
