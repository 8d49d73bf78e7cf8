'use client';
import { say } from '@/messages/say';
import { shownQuantity, signOf } from '@/core/quantity/typed-quantity';
import { Plus } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Schematic } from '@/charts/Schematic';
import { planDoubtText } from '@/core/words/plan';
import type { PlacedHeap } from '@/entry/placed';
import { KeepBar, WhoField } from '@/entry/ui/parts';
import { StandingFields, useStanding } from '@/entry/ui/Standing';
import { submitEntry, useEntry, type EntryHandle, type HeapRef } from '@/entry/ui/useEntry';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { v7 } from 'uuid';
import {
  anotherPlace,
  draftOfPlan,
  proposePlaces,
  readMetres,
  readPlaces,
  stretchesOf,
  type PlaceDraft,
  type PlacesReading,
  type PlacesScreen,
} from '../places-draft';
import { PlaceTable } from './PlaceTable';

/** Where a heap stands and where a round reads it: drawn, proposed, doubted, and kept as a new plan. */
export const Places = (p: PlacesProps) => (
  <DraftScope name={`places ${p.heap.id}`}>
    <PlacesForm {...p} />
  </DraftScope>
);
type PlacesProps = {
  readonly heap: HeapRef;
  readonly screen: PlacesScreen;
  readonly placed: readonly PlacedHeap[];
};

/** How far in the core lies, what the thermometers reach, how many places a round needs. */
function factsText({ coreDepthM, stemM, lengthM, minPoints }: PlacesScreen): string {
  const facts = [
    coreDepthM === null
      ? say('places.theDepthCoreNotKnown')
      : say('places.theCoreMDeep', { coreDepthM }),
    stemM === null
      ? say('places.noThermometerWithKnownLength')
      : say('places.theLongestThermometerReachesM', { stemM }),
    lengthM !== null ? say('places.mOfWindrow', { lengthM }) : null,
    say('places.aCheckNeedsPoints', { minPoints }),
  ];
  return facts.filter(Boolean).join(' · ');
}

/** So many places at most are drawn; of a row those of its first stretch. */
const MAX_DRAWN = 12;
const drawnOf = ({ points }: PlacesReading): PlacesReading['points'] =>
  (points.some((p) => p.alongM !== undefined)
    ? points.filter((p) => p.alongM === points[0]?.alongM)
    : points
  ).slice(0, MAX_DRAWN);

/** What the plan can show and what not, and the key that keeps it. */
function KeepPlan({ reading, entry }: { reading: PlacesReading; entry: EntryHandle }) {
  const { points, doubts, gone, ready } = reading;
  return (
    <section className="flex flex-col gap-3" aria-labelledby="doubts-title">
      <h2 id="doubts-title">{say('places.whatThesePointsCanShow')}</h2>
      {doubts.length === 0 ? (
        <p>{say('places.pointsFromCoreBaseEdge', { points: points.length })}</p>
      ) : (
        doubts.map((d) => (
          <p
            key={planDoubtText(d)}
            className="border-l-4 border-ink pl-2.5 text-body leading-[1.35]"
          >
            {planDoubtText(d)}
          </p>
        ))
      )}
      {gone.length > 0 && (
        <p className="hint">
          {say('places.noLongerReadButOld', {
            gone: gone.map((p) => p.label).join(', '),
          })}
        </p>
      )}
      <WhoField entry={entry} />
      <KeepBar
        entry={entry}
        label={say('places.saveThesePoints', { points: points.length })}
        missing={ready ? null : say('controls.correctWhatIsMarkedAbove')}
        onKeep={() => entry.save({ points })}
      />
    </section>
  );
}

function ProposeKey({
  screen,
  onPropose,
}: {
  screen: PlacesScreen;
  onPropose: (places: readonly PlaceDraft[]) => void;
}) {
  const sets = stretchesOf(screen);
  return (
    <button
      type="button"
      className="btn self-start"
      onClick={() => onPropose(proposePlaces(screen, v7))}
    >
      {sets > 1
        ? say('places.proposePointsForEachStretches', { sets })
        : say('places.proposeFivePoints')}
    </button>
  );
}

function PlacesForm({ heap, screen, placed }: PlacesProps) {
  const router = useRouter();
  const [places, setPlaces] = useTyped<readonly PlaceDraft[]>('rows', draftOfPlan(screen));
  const entry = useEntry('plan', heap, () => router.push(`/batch/${heap.id}`));
  const reading = readPlaces(places, screen);
  const drawn = drawnOf(reading).map(({ id, zone, side }) => ({
    id,
    zone,
    side,
    short: id.slice(0, 4),
    read: null,
  }));
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(300px,392px)]">
      <section
        className="px-5 max-sm:px-4 py-4 min-w-0 flex flex-col gap-4"
        aria-labelledby="places-title"
      >
        <div>
          <h1 id="places-title">{say('places.probePoints', { name: heap.name })}</h1>
          <p className="q mt-2">{factsText(screen)}</p>
        </div>
        <div className="max-w-[460px]">
          <Schematic
            shape={screen.shape}
            current={null}
            says={say('places.pointsOf', { places: places.length, name: heap.name })}
            places={drawn}
          />
        </div>
        <ProposeKey screen={screen} onPropose={setPlaces} />
        <PlaceTable places={places} reading={reading} screen={screen} setPlaces={setPlaces} />
        <button
          type="button"
          className="btn self-start"
          onClick={() => setPlaces((all) => [...all, anotherPlace(screen, v7())])}
        >
          <Plus size={18} aria-hidden="true" />
          {say('places.anotherPoint')}
        </button>
      </section>
      <aside
        className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 max-sm:px-4 py-4 flex flex-col gap-7"
        aria-label={say('places.whatUncertainSaving')}
      >
        <KeepPlan reading={reading} entry={entry} />
        <StandForm heap={heap} placed={placed} by={entry.by} />
        <SettingsForm heap={heap} settings={screen.settings} by={entry.by} />
      </aside>
    </div>
  );
}

function StandForm({
  heap,
  placed,
  by,
}: {
  heap: HeapRef;
  placed: readonly PlacedHeap[];
  by: string;
}) {
  const router = useRouter();
  const standing = useStanding(heap, placed);
  const [problems, setProblems] = useState<readonly { path: string; message: string }[]>([]);
  const keep = async (): Promise<void> => {
    const p = await standing.keep(by, null);
    setProblems(p);
    if (p.length === 0) router.refresh();
  };
  return (
    <section className="flex flex-col gap-3 ruled pt-3" aria-labelledby="stand-title">
      <h2 id="stand-title">{say('places.location')}</h2>
      <StandingFields standing={standing} />
      <Problems list={problems} />
      <SaveButton
        className="btn"
        label={say('places.saveTheLocation')}
        busy={false}
        missing={
          !standing.changed
            ? say('places.nothingWasChangedHere')
            : standing.effect.overlaps.length > 0
              ? say('places.thereStandsOnAnotherBatch')
              : (standing.missing ?? whoIsMissing(by))
        }
        onSave={() => void keep()}
      />
    </section>
  );
}

function SettingsForm({
  heap,
  settings,
  by,
}: {
  heap: HeapRef;
  settings: PlacesScreen['settings'];
  by: string;
}) {
  const router = useRouter();
  const [stretch, setStretch] = useTyped('stretch', shownQuantity('length', settings.stretchM));
  const [border, setBorder] = useTyped('border', shownQuantity('length', settings.borderM));
  const [said, setSaid] = useState('');
  const [stretchM, borderM] = [readMetres(stretch), readMetres(border)];
  const ok =
    stretchM !== null &&
    stretchM >= 1 &&
    stretchM <= 100 &&
    borderM !== null &&
    borderM >= 0 &&
    borderM <= 10;
  const keep = async (): Promise<void> => {
    const kept = await submitEntry(
      {
        id: v7(),
        batch: null,
        kind: 'round-settings',
        at: null,
        by,
        data: { stretchM, borderM, altitudeM: settings.altitudeM },
      },
      heap.name,
      'round-settings',
    );
    setSaid(
      kept.ok ? say('places.savedForWholeSite') : kept.problems.map((p) => p.message).join(' '),
    );
    if (kept.ok) router.refresh();
  };
  return (
    <section className="flex flex-col gap-3 ruled pt-3" aria-labelledby="settings-title">
      <h2 id="settings-title">{say('places.forAllWindrowsSite')}</h2>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label={say('places.oneSetPointsForEvery')}
          unit={signOf('length')}
          inputMode="decimal"
          value={stretch}
          onChange={(e) => setStretch(e.target.value)}
        />
        <Field
          label={say('places.stayAwayFromBorderBy')}
          unit={signOf('length')}
          inputMode="decimal"
          value={border}
          onChange={(e) => setBorder(e.target.value)}
        />
      </div>
      <p role="status" className="hint">
        {said}
      </p>
      <SaveButton
        className="btn"
        label={say('places.saveTheseDistances')}
        busy={false}
        missing={
          !ok
            ? say('places.meters1100ForStretch', { least: 1, most: 100, away: 10 })
            : whoIsMissing(by)
        }
        onSave={() => void keep()}
      />
    </section>
  );
}
