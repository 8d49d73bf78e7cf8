/** How pressing a task is: danger, counted time about to be lost, needed for a rule, due by its method, a chore of the site. */
export const GROUPS = ['danger', 'losing', 'owed', 'schedule', 'chore'] as const;
export type Group = (typeof GROUPS)[number];
