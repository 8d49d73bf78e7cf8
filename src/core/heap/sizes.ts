import type { BatchState } from '../log/fold';
import type { Measures } from '../log/shapes';
import { isShape, sizesOf, volumeOf, type HeapShape, type SizeAt, type SizeEvent } from './size';

const LITRES_PER_M3 = 1000;

/** The shape that a heap is reckoned as; one of unknown shape as a dome. */
const shapeOf = (state: BatchState): HeapShape =>
  isShape(state.opened.shape) ? state.opened.shape : 'dome';

const measured = (
  shape: HeapShape,
  m: Measures | undefined,
  m3: number | undefined,
): { m3: number; heightM: number | null } | null =>
  m3 !== undefined
    ? { m3, heightM: m?.heightM ?? null }
    : m !== undefined
      ? { m3: volumeOf(shape, m), heightM: m.heightM }
      : null;

/** A heap's volume over time, from what its log tells of measures, levels, joining and carrying off. */
export function sizesOfHeap(state: BatchState): SizeAt[] {
  const shape = shapeOf(state);
  const { opened, acts } = state;
  const first = measured(shape, opened.measures, opened.volumeM3);
  const events = acts.flatMap((e): SizeEvent[] => {
    switch (e.kind) {
      case 'size': {
        const m = measured(shape, e.data.measures, e.data.volumeM3);
        return m ? [{ at: e.at, kind: e.data.measures ? 'measured' : 'judged', ...m }] : [];
      }
      case 'observation':
        return e.data.sunkCm === undefined
          ? []
          : [{ at: e.at, kind: 'level', sunkCm: e.data.sunkCm }];
      case 'merge':
        return e.data.volumeM3 === undefined
          ? []
          : [{ at: e.at, kind: 'joined', m3: e.data.volumeM3 }];
      case 'split':
        return [{ at: e.at, kind: 'carried-off', m3: e.data.volumeM3 }];
      case 'cure':
        return e.data.all === false && e.data.litres !== undefined
          ? [{ at: e.at, kind: 'carried-off', m3: e.data.litres / LITRES_PER_M3 }]
          : [];
      default:
        return [];
    }
  });
  return sizesOf(
    { at: state.builtAt ?? state.openedAt, m3: first?.m3 ?? null, heightM: first?.heightM ?? null },
    events,
  );
}
