import { say } from '../../messages/say';

/** The sentences of what a file or a call gets wrong, and a form in a browser cannot. */
export const FILE_PROBLEM = {
  notJson: (why: string) => say('terms.notJsonTextExportBatch', { why }),
  get notUtf8() {
    return say('terms.notUtf8TextSave');
  },
  twice: (id: string) => say('terms.theIdAppearsTwiceIds', { id }),
  unlisted: (what: string, id: string) => say('terms.noWithIdListed', { what, id }),
  libraryId: (id: string) => say('terms.isRuleLibraryGiveYour', { id }),
  get noHash() {
    return say('terms.mustSha256Hash64');
  },
  changedEntry: (kind: string, at: string) => say('terms.thisEntryDoesNotMatch', { kind, at }),
  brokenChain: (kind: string, at: string) => say('terms.theChainBrokenBeforeThis', { kind, at }),
  get outOfOrder() {
    return say('terms.theEntriesNotInOrder');
  },
  sealOtherSite: () => say('terms.sealOtherSite'),
  sealForged: () => say('terms.sealForged'),
  sealChanged: (of: number) => say('terms.sealChanged', { of }),
  sealMissing: (have: number, of: number) => say('terms.sealMissing', { have, of }),
  get noOpening() {
    return say('terms.theEntriesDoNotDescribe');
  },
  get notAsLogged() {
    return say('terms.theFileSaysSomethingElse');
  },
  newerLibrary: (theirs: number, ours: number) =>
    say('terms.savedUnderEditionRuleLibrary', { theirs, ours }),
  unknownRule: (id: string) => say('terms.noRuleInLibraryOr', { id }),
} as const;
