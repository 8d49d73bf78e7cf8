import type { Overrides } from './say';

/** What British English says otherwise than American English, and nothing else. */
export const enGB: Overrides = {
  advice: {
    on2: 'on {day, number} {month}',
    openingHotStackLetsAir:
      'Opening a hot stack lets air into a smouldering fire. Local fire rules on stacks come first.',
    aPileTooHotCannot: 'A heap that is too hot cannot wait.',
    splitIntoTwoSmallerPiles: 'Split it into two smaller heaps',
    doNotOpenAirFeeds: 'Do not open it: air feeds a smouldering fire',
  },
  batch: {
    belowPileRarelyStaysHot: 'Below {minhotm3} a heap rarely stays hot.',
    turnedPile: 'turned heap',
    staticPile: 'static heap',
    hotPartPile: 'Hot part of the heap: {title}',
    thisNeedsFullCheckWith:
      'This needs a full check with the depth of at least one point, an air temperature, the shape of the heap, and the depth of its core.',
  },
  bench: {},
  build: {},
  controls: {},
  day: {},
  entry: {},
  fire: {
    allowedSizeSpacingPilesCheck:
      '{law} Allowed size and spacing of heaps: check with your local authority and the fire service.',
  },
  instruments: {
    putBothIntoWarmWater: 'Put both into warm water or the heap, and wait until both are steady.',
  },
  log: {
    noMold: 'no mould',
    colorAsBuilt: 'colour as built',
    grayAshy: 'grey, ashy',
    mold: '{growth} mould',
    halfTrailerFromNeighbor: 'half a trailer from the neighbour',
    belowLeastSize: ' Below {least} a heap rarely stays hot; a closed one may still heat.',
    tapRainBarrelWithLid: 'tap, water butt with a lid',
  },
  map: {},
  mix: {
    rootsNearSurfaceStaticPile:
      'roots near the surface of a static heap survive: dry or drown them first',
    theSurfaceStaticPileNever: 'the surface of a static heap never gets hot: bury it well inside',
    wetThePile: 'wet the heap',
    agingInTheStack: 'Ageing in the stack',
    aGoodMixIfPile: 'A good mix. If the heap is big enough, it should be hot within three days.',
    oldHayLitterChipsFull:
      'Old hay, litter and chips are full of mould spores: wet them and wear a mask. People with weak lungs or a weak immune system stay away.',
  },
  open: {
    leaveEmptyIfYouDo: 'Leave empty if you do not know. Below {least} a heap rarely stays hot.',
    pile: 'Heap',
    leaveEmptyIfYouDo2:
      'Leave empty if you do not know: the hot share of the heap then stays unknown',
    windrowBinOrPile: 'windrow, bin or heap',
    yardAndCropWaste: 'Garden and crop waste',
  },
  places: {},
  record: {
    turnedPile: 'turned heap',
    staticPileAeratedNotTurned: 'static heap, aerated and not turned',
    yardAndCropWaste: 'garden and crop waste',
  },
  round: {
    paperTimeExample: '24/11 7:10',
    paperTimeNotRead:
      '‘{text}’ is not a time. Type day and clock, such as 24/11 7:10, or the clock alone for the same day.',
    grayDustyMoldThrowsSpores:
      'Grey, dusty mould throws spores: do not breathe it in, and wet it before you turn.',
    colorInside: 'Colour inside',
    airNeverOtherUnitOr: 'Air is never {value, number} °{unit}. Is it the other unit, or the heap?',
    grayAshy: 'Grey, ashy',
    whiteMold: 'White mould',
    grayMold: 'Grey mould',
  },
  store: {
    aging: 'ageing',
    agingReadyFrom: 'ageing, ready from {readyFrom}',
    takeApartInSmallPortions:
      'Take it apart in small portions, with water at hand. Opening it lets air into a smouldering fire.',
    filledLevelEarlierEntriesStay:
      'Filled level. Earlier entries stay with the volume of that time. A bucket on the scales tells you: fill it with water, {system, select, us {8.3 lb is a gallon} other {a kilogram is a litre}}.',
    doesNeedAgingOrDrying: 'Does it need ageing or drying first?',
    seedsCertificateCostAgingPhotos: 'Seeds, certificate, cost, ageing, photos, note',
  },
  terms: {
    litersMustNumber0Or:
      'a volume must be a number of 0 or more, and no more than a lorry holds ({most, number, litres} for a measure)',
    pile: 'Heap',
    keepPeopleBackDoNot:
      'Keep people back and do not open it without looking: air feeds a smouldering fire. If you see smoke or smell burning, call the fire service.',
    aBurntSmellCanMean:
      'A burnt smell can mean a smouldering fire: do not open the heap, keep people back, and call the fire service if there is smoke.',
    splittingLetsAirIntoVery:
      'Splitting lets air into a very hot heap: have water running, look for smoke first, and work in small portions.',
    seedsRootsPlantDiseaseSurvive:
      'Seeds, roots and plant disease survive in a heap that does not get hot. Remove seed heads and roots first, or put it into a hot heap instead.',
    onePointOnlyHotMiddle:
      'One point only. A hot middle says nothing about the base edge, and one spot says nothing about the whole heap.',
    itBordersOnStayM:
      'It borders on {neighbours}: stay {keepM, number, length} from the marker, or you read the neighbour’s heat too.',
    isMFromReadsNeighbors:
      '{place} is {distanceM, number, length} from {neighbour}: it reads the neighbour’s heat too. Stay further from the marker.',
    colderThanAnyPileWrong: '{says}, colder than any heap. Wrong unit, or a faulty thermometer?',
    colderThanAirAtProbe: '{says}, colder than the air at {against}. Is the probe in the heap?',
    doNotOpenAirFeeds: 'Do not open it: air feeds a smouldering fire.',
  },
  units: {
    monthDay: '{day, number} {month}',
    monthDayYear: '{day, number} {month} {year}',
  },
  flow: {
    negative: 'an amount is 0 or more litres',
  },
};
