export default {
  isMissing: 'is missing',
  mustBeNot: 'must be {expected}, not {input}',
  mustBeNot2: 'must be {values}, not {input}',
  mustBeOneOf: 'must be one of {eventtypes}',
  an: 'an {expected}',
  aWholeNumber: 'a whole number',
  theSitesOwnRule: 'the site’s own rule',
  version: ', version {version, number}',
  thisSite: 'this site',
  site: '{id} (site)',
  not: "{noTime}, not ''{asOf}''",
  fileSha256: 'file SHA-256 {text}',
  logEntriesTheirChainCheckedItEnds:
    '  {entries} log entries, their chain checked; it ends with {head}',
  itCarriesNoLogEntriesNothingShows:
    '  it contains no log entries: nothing shows whether it was changed',
  valuefromValueFromMemoryCheckWithYour:
    '  {title} ({document}, {section}{fromMemory, select, valueFrom {; value from memory, check with your local authority} other {}})',
  valuefromValueFromMemoryCheckWithYour2:
    '  {title} ({document}{fromMemory, select, valueFrom {; value from memory, check with your local authority} other {}})',
  beyondTheRulesInformationNotCompliance: 'Beyond the rules: information, not compliance',
  pathogenDoseWeedSeedDose1Is:
    '  pathogen dose {pathogen}, weed-seed dose {weedSeed} (1 is the published or usual time at temperature, once)',
  hotShareOfTheHeapAt55: '  hot share of the batch at 55 °C: not known',
  hotShareOfTheHeapAt552: '  hot share of the batch at 55 °C: {share}',
  line: 'Line {line, number}: {reason}.',
  line2: 'line {line, number}',
  line1: 'line 1',
  thereIsNoReadingInIt: 'There is no reading in it.',
  whenTheLastRawLoadWentIn: 'When the last raw material went in: {noTime}.',
} as const;
