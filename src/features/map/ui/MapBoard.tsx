'use client';
import { MoveForm } from '@/entry/ui/MoveForm';
import type { HeapRef } from '@/entry/ui/useEntry';
import { MapScreen } from '@/features/map/ui/MapScreen';
import type { MapView } from '@/features/map/view';

/** The map with the form by which a heap is moved: its effects on the proof are said before it is kept. */
export function MapBoard({ view, heap }: { view: MapView; heap: Omit<HeapRef, 'id' | 'name'> }) {
  return (
    <MapScreen
      view={view}
      by={heap.by}
      move={(h, to, done) => (
        <MoveForm heap={{ ...heap, id: h.id, name: h.name, to }} onDone={done} />
      )}
    />
  );
}
