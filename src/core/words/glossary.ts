import { say } from '../../messages/say';

/** A term of the trade, and what it means in a sentence or two. */
export type GlossaryTerm = { readonly name: string; readonly meaning: string };

/** Terms that are explained in place and in the glossary, in the order of the work. */
export const GLOSSARY = {
  pfrp: {
    get name() {
      return say('glossary.pfrp');
    },
    get meaning() {
      return say('glossary.pfrpIs');
    },
  },
  psrp: {
    get name() {
      return say('glossary.psrp');
    },
    get meaning() {
      return say('glossary.psrpIs');
    },
  },
  cn: {
    get name() {
      return say('glossary.cn');
    },
    get meaning() {
      return say('glossary.cnIs');
    },
  },
  moisture: {
    get name() {
      return say('glossary.moisture');
    },
    get meaning() {
      return say('glossary.moistureIs');
    },
  },
  density: {
    get name() {
      return say('glossary.density');
    },
    get meaning() {
      return say('glossary.densityIs');
    },
  },
  airspace: {
    get name() {
      return say('glossary.airspace');
    },
    get meaning() {
      return say('glossary.airspaceIs');
    },
  },
  windrow: {
    get name() {
      return say('glossary.windrow');
    },
    get meaning() {
      return say('glossary.windrowIs');
    },
  },
  invessel: {
    get name() {
      return say('glossary.invessel');
    },
    get meaning() {
      return say('glossary.invesselIs');
    },
  },
  aerated: {
    get name() {
      return say('glossary.aerated');
    },
    get meaning() {
      return say('glossary.aeratedIs');
    },
  },
  feedstock: {
    get name() {
      return say('glossary.feedstock');
    },
    get meaning() {
      return say('glossary.feedstockIs');
    },
  },
  batch: {
    get name() {
      return say('glossary.batch');
    },
    get meaning() {
      return say('glossary.batchIs');
    },
  },
  check: {
    get name() {
      return say('glossary.check');
    },
    get meaning() {
      return say('glossary.checkIs');
    },
  },
  coldest: {
    get name() {
      return say('glossary.coldest');
    },
    get meaning() {
      return say('glossary.coldestIs');
    },
  },
  counted: {
    get name() {
      return say('glossary.counted');
    },
    get meaning() {
      return say('glossary.countedIs');
    },
  },
  startsover: {
    get name() {
      return say('glossary.startsover');
    },
    get meaning() {
      return say('glossary.startsoverIs');
    },
  },
  paused: {
    get name() {
      return say('glossary.paused');
    },
    get meaning() {
      return say('glossary.pausedIs');
    },
  },
  fullturn: {
    get name() {
      return say('glossary.fullturn');
    },
    get meaning() {
      return say('glossary.fullturnIs');
    },
  },
  squeeze: {
    get name() {
      return say('glossary.squeeze');
    },
    get meaning() {
      return say('glossary.squeezeIs');
    },
  },
  curing: {
    get name() {
      return say('glossary.curing');
    },
    get meaning() {
      return say('glossary.curingIs');
    },
  },
  screening: {
    get name() {
      return say('glossary.screening');
    },
    get meaning() {
      return say('glossary.screeningIs');
    },
  },
  overs: {
    get name() {
      return say('glossary.overs');
    },
    get meaning() {
      return say('glossary.oversIs');
    },
  },
  leachate: {
    get name() {
      return say('glossary.leachate');
    },
    get meaning() {
      return say('glossary.leachateIs');
    },
  },
  offset: {
    get name() {
      return say('glossary.offset');
    },
    get meaning() {
      return say('glossary.offsetIs');
    },
  },
  settling: {
    get name() {
      return say('glossary.settling');
    },
    get meaning() {
      return say('glossary.settlingIs');
    },
  },
  quality: {
    get name() {
      return say('glossary.quality');
    },
    get meaning() {
      return say('glossary.qualityIs');
    },
  },
} as const satisfies Readonly<Record<string, GlossaryTerm>>;
