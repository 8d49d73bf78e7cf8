'use client';
import { say } from '@/messages/say';
import { signOf } from '@/core/quantity/typed-quantity';
import { SIDE_WORDS, ZONE_WORDS } from '@/core/heap/plan';
import { keysOf } from '@/core/words/feel';
import { X } from 'lucide-react';
import type { PointZone } from '@/core/evidence/types';
import type { Side } from '@/core/log/shapes';
import { itemAt } from '@/core/quantity/present';
import {
  moveToZone,
  type PlaceDraft,
  type PlacesReading,
  type PlacesScreen,
} from '../places-draft';

/** Metres in a cell; on a phone its heading stands above it. */
function MetresCell({
  heading,
  label,
  value,
  wide,
  onChange,
}: {
  heading: string;
  label: string;
  value: string;
  wide: boolean;
  onChange: (text: string) => void;
}) {
  return (
    <td className={`pr-2 max-sm:order-2 ${wide ? 'max-sm:col-span-2 ' : ''}max-sm:pr-0`}>
      <span className="label sm:hidden" aria-hidden="true">
        {heading}
      </span>
      <input
        aria-label={label}
        className="field sm:!w-[76px]"
        inputMode="decimal"
        value={value}
        onChange={(e) => onChange(e.target.value)}
      />
    </td>
  );
}

/** Where in the heap, and on which side. */
function ZoneAndSide({
  place: r,
  id,
  screen,
  onChange,
}: {
  place: PlaceDraft;
  id: string;
  screen: PlacesScreen;
  onChange: (place: PlaceDraft) => void;
}) {
  return (
    <>
      <td className="pr-2 max-sm:order-2 max-sm:pr-0">
        <select
          aria-label={say('places.zone', { id })}
          className="field !px-1.5"
          value={r.zone}
          onChange={(e) => onChange(moveToZone(r, e.target.value as PointZone, screen))}
        >
          {keysOf(ZONE_WORDS).map((z) => (
            <option key={z} value={z}>
              {ZONE_WORDS[z]}
            </option>
          ))}
        </select>
      </td>
      <td className="pr-2 max-sm:order-2 max-sm:col-span-2 max-sm:pr-0">
        <select
          aria-label={say('places.side', { id })}
          className="field !px-1.5"
          value={r.side}
          onChange={(e) => onChange({ ...r, side: e.target.value as Side | '' })}
        >
          <option value="">{say('places.notGiven')}</option>
          {keysOf(SIDE_WORDS).map((s) => (
            <option key={s} value={s}>
              {SIDE_WORDS[s]}
            </option>
          ))}
        </select>
      </td>
    </>
  );
}

/** One place: its zone, side and depth, and along a row how far. */
function PlaceRow({
  place: r,
  id,
  problem,
  screen,
  onChange,
  onTakeOut,
}: {
  place: PlaceDraft;
  id: string;
  problem: string | null;
  screen: PlacesScreen;
  onChange: (place: PlaceDraft) => void;
  onTakeOut: () => void;
}) {
  return (
    <tr className="border-b border-rule max-sm:grid max-sm:grid-cols-[1fr_1fr_52px] max-sm:gap-x-2 max-sm:gap-y-1.5 max-sm:py-3 max-sm:items-end">
      <th className="text-left font-[650] py-1.5 pr-3 max-sm:col-span-2 max-sm:text-subhead">
        {id}
        {r.was && r.was.id !== id && (
          <span className="q font-normal text-note block">
            {say('places.was', { id: r.was.id })}
          </span>
        )}
      </th>
      <ZoneAndSide place={r} id={id} screen={screen} onChange={onChange} />
      <MetresCell
        heading={say('places.depthM', { unit: signOf('length') })}
        label={say('places.depthInMeters', { id, unit: signOf('length') })}
        value={r.depth}
        wide={false}
        onChange={(depth) => onChange({ ...r, depth })}
      />
      {screen.lengthM !== null && (
        <MetresCell
          heading={say('places.alongTheWindrowM', { unit: signOf('length') })}
          label={say('places.metersAlongTheWindrow2', { id, unit: signOf('length') })}
          value={r.along}
          wide
          onChange={(along) => onChange({ ...r, along })}
        />
      )}
      <td className="max-sm:order-1">
        <button
          type="button"
          className="btn !px-2.5"
          aria-label={say('places.remove', { id })}
          onClick={onTakeOut}
        >
          <X size={18} aria-hidden="true" />
        </button>
        {problem && (
          <p role="alert" className="text-note font-semibold">
            {problem}
          </p>
        )}
      </td>
    </tr>
  );
}

/** The places as they are typed, a row each. */
export function PlaceTable({
  places,
  reading: { points, problems },
  screen,
  setPlaces,
}: {
  places: readonly PlaceDraft[];
  reading: PlacesReading;
  screen: PlacesScreen;
  setPlaces: (change: (places: readonly PlaceDraft[]) => readonly PlaceDraft[]) => void;
}) {
  return (
    <table className="w-full border-collapse max-w-[760px]">
      <thead className="max-sm:sr-only">
        <tr className="text-left text-note q border-b-[1.6px] border-ink">
          <th className="py-1 font-medium">{say('places.point')}</th>
          <th className="font-medium">{say('places.zone2')}</th>
          <th className="font-medium">{say('places.side2')}</th>
          <th className="font-medium">{say('places.depthM', { unit: signOf('length') })}</th>
          {screen.lengthM !== null && (
            <th className="font-medium">{say('places.alongM', { unit: signOf('length') })}</th>
          )}
          <th className="font-medium">{say('places.remove2')}</th>
        </tr>
      </thead>
      <tbody>
        {places.map((place, i) => (
          <PlaceRow
            key={place.key}
            place={place}
            id={itemAt(points, i).id}
            problem={itemAt(problems, i)}
            screen={screen}
            onChange={(to) => setPlaces((all) => all.map((x) => (x.key === to.key ? to : x)))}
            onTakeOut={() => setPlaces((all) => all.filter((x) => x.key !== place.key))}
          />
        ))}
      </tbody>
    </table>
  );
}
