import fc from 'fast-check';
import { SLOT_KINDS, type Slot } from '@/core/log/store-shapes';
import {
  addSlot,
  draftOfMap,
  dragSlot,
  readMapDraft,
  type MapDraft,
  type SlotDraft,
} from './map-draft';

const empty = draftOfMap(null);
const withSlots = (...slots: SlotDraft[]): MapDraft => ({ ...empty, slots });
const bay = addSlot([], 'bay');

test('an empty site opens with a size, and nothing on it', () => {
  expect(readMapDraft(empty)).toMatchObject({ size: { widthM: 30, depthM: 18 }, wrong: null });
  expect(readMapDraft(empty).map?.slots).toEqual([]);
});
test('what was kept opens as it was kept', () => {
  const { map } = readMapDraft(withSlots(bay, addSlot([bay], 'row')));
  expect(readMapDraft(draftOfMap(map)).map).toEqual(map);
});
test('a place more is named after its kind, with an id of its own even where one was removed', () => {
  const second = addSlot([bay], 'bay');
  expect([bay.name, second.name]).toEqual(['1', '2']);
  const again = addSlot([second], 'bay');
  expect(again.id).not.toBe(second.id);
  expect(SLOT_KINDS.map((kind) => addSlot([], kind).name)).not.toContain('');
});
describe('what is wrong is said', () => {
  test.each([
    [{ ...empty, width: 'wide' }, /size of the map/],
    [withSlots({ ...bay, heightM: '0' }), /numbers above 0/],
    [withSlots({ ...bay, xM: '' }), /numbers above 0/],
    [withSlots({ ...bay, name: '  ' }), /name written on it/],
    [withSlots({ ...bay, xM: '28' }), /1 is beyond the edge/],
    [withSlots(bay, { ...addSlot([bay], 'bay'), name: ' 1 ' }), /two places called/],
  ] as [MapDraft, RegExp][])('%#', (draft, says) => {
    expect(readMapDraft(draft).wrong).toMatch(says);
    expect(readMapDraft(draft).map).toBeNull();
  });
  test('a bay and a bin may both be called 1', () =>
    expect(readMapDraft(withSlots(bay, addSlot([], 'bin'))).wrong).toBeNull());
});
test('wherever it is dragged a place stays on the map', () =>
  fc.assert(
    fc.property(
      fc.double({ min: -90, max: 90, noNaN: true }),
      fc.double({ min: -90, max: 90, noNaN: true }),
      (xM, yM) => {
        const draft = withSlots(bay);
        const { sound, size } = readMapDraft(draft);
        const moved = { ...bay, ...dragSlot(sound[0]!, { xM, yM }, size!) };
        expect(readMapDraft(withSlots(moved)).wrong).toBeNull();
      },
    ),
  ));
test('dragged by little it goes to the next fifth of a metre', () => {
  const slot = readMapDraft(withSlots(bay)).sound[0] as Slot;
  const size = { widthM: 30, depthM: 18 };
  expect(dragSlot(slot, { xM: 1.08, yM: 0.02 }, size)).toEqual({ xM: '1.6', yM: '0.6' });
});
