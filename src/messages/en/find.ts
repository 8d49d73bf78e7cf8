export const enFind = {
  whatAreYouLookingFor: 'What are you looking for?',
  aBatchPersonMaterial:
    'A batch, a place, a person, a material, a supplier, or words from a note or entry.',
  nothingFound: 'Nothing found for ‘{typed}’. Try fewer letters, or another word.',
  batches: 'Batches',
  materials: 'Materials',
  pages: 'Pages',
  logEntries: 'Log entries',
  olderEntriesNotShown: 'Older entries are not shown. Type one more word.',
} as const;
