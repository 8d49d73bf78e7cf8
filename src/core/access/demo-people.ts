import type { MemberRole } from '../log/entered-by';

/** Somebody of the made-up site. */
export type DemoPerson = {
  readonly id: string;
  readonly name: string;
  readonly role: MemberRole;
  /** Whose share a partner sees. */ readonly partner?: string;
};

/** The made-up people of the demo, one of each role. */
export const DEMO_PEOPLE: readonly DemoPerson[] = [
  { id: 'demo-mo', name: 'Mo', role: 'manager' },
  { id: 'demo-jo', name: 'Jo', role: 'recorder' },
  { id: 'demo-sam', name: 'Sam', role: 'crew' },
  { id: 'demo-tam', name: 'Tam', role: 'trainee' },
  { id: 'demo-canteen', name: 'Pat', role: 'partner', partner: 'School canteen' },
];
