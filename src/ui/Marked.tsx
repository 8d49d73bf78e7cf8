import { markedParts, type MarkedPart } from '@/messages/marked';

/** Parts of a text, the strong ones bold. */
export const Parts = ({ parts }: { parts: readonly MarkedPart[] }) => (
  <>
    {parts.map((part, i) =>
      part.strong ? <b key={i}>{part.text}</b> : <span key={i}>{part.text}</span>,
    )}
  </>
);
/** A text whose strong parts were marked by `sayMarked`. */
export const Marked = ({ text }: { text: string }) => <Parts parts={markedParts(text)} />;
