/** What is said of a log: whether it fits, and who vouches for it. */
export const enTrust = {
  changed: 'Entry {seq}: it does not fit the entry before it.',
  outOfSequence: 'Entry {seq}: an entry before it is missing, or it was put in.',
  timeRunsBack: 'Entry {seq}: it was recorded before the entry in front of it.',
  unsigned: 'Entry {seq}: this installation did not sign it.',
  otherKey: 'Entry {seq}: another key signed it.',
  photoChanged: 'Entry {seq}: its picture is another one.',
  photoMissing: 'Entry {seq}: its picture is gone.',
  snapshotDiffers: 'Entry {seq}: what its batch showed was not what the log says.',
  siteChanged: 'The site’s name, time zone, language or units were changed in the database.',
  siteUnsealed:
    'The signature over the site’s name, time zone, language and units is gone from the database.',
  headLost:
    'Up to entry {seq} the log is not what this installation signed: entries were changed or taken away.',
  memoryGone:
    'The file of signed log ends beside the key is gone. Without it, nobody can see whether the log was written anew.',
  auditChanged:
    'A line of ‘Sign-ins, links and changes’ was changed, added or deleted in the database.',
  auditLost: 'The last lines of ‘Sign-ins, links and changes’ are gone from the database.',
  placeChanged:
    'Somebody’s name or role was changed in the database, and not by a manager. Check ‘People and phones’.',
  visitChanged: 'A visit of an inspector was changed, added or deleted in the database.',
  witness: '{by}’s device saw another log at entry {seq} ({at}).',
  doesNotFit: 'The log of this site does not fit',
  doesNotFitHow:
    'It was changed, or put back to an older state. Each record made from now on says so.',
  andMore: 'and {n, number} more',
  firstLine:
    'THE LOG BEHIND THIS DOES NOT FIT in {n, plural, one {one place} other {# places}}. {first}',
  openCheck: 'Log check',
  checkedAt: 'Last checked {when}: {n, plural, one {one entry} other {# entries}}.',
  notChecked: 'Not checked yet. The server checks soon after its start and once a day.',
  allFits: 'Everything fits: entries, signatures, pictures, and what was worked out from them.',
  notAllFits: '{n, plural, one {One thing does} other {# things do}} not fit.',
  signedBy: 'Signed by key {key}. It is printed on each record.',
  noKey: 'This installation has no key: nothing is signed.',
  allSigned: 'All entries are signed.',
  signedFrom: 'Entries before number {seq} are older than signatures: nothing vouches for them.',
  lastHead: 'The last signed end is of {when}, at entry {seq}. It is kept outside the database.',
  noHead: 'No end of the log has been signed yet.',
  open: 'Not explained yet',
  noted: 'Noted by {by}, {when}: {words}',
  takeNote: 'Take note',
  takeNoteHow:
    'Say what happened, if you know: a repair of the database, a restored backup, somebody else. The reason goes into the log and can’t be changed. The warning then leaves the pages; records still say that the log does not fit, and why.',
  reason: 'What happened',
  reasonMissing: 'Say what happened first.',
  onlyManagerNotes: 'A manager of the site can take note of it.',
  nothingOpen: 'Somebody has taken note of it already. Reload the page.',
  memoryBegunAnew:
    'Taking note also begins a new file of signed ends: what is logged from then on is vouched for again.',
} as const;
