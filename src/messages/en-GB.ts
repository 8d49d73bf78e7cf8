import type { Overrides } from './say';

/** What British English says otherwise than American English, and nothing else. */
export const enGB: Overrides = {
  advice: {
    openingHotStackLetsAir:
      'Opening a hot stack lets air into a smouldering fire. Local fire rules on stacks come first.',
    aPileTooHotCannot: 'A heap that is too hot cannot wait.',
    splitIntoTwoSmallerPiles: 'Split it into two smaller heaps',
    doNotOpenAirFeeds: 'Do not open it: air feeds a smouldering fire',
    mold: '{growth} mould {at}',
    underACubicMeter: 'under a cubic metre',
  },
  batch: {
    belowPileRarelyStaysHot: 'Below {minhotm3} a heap rarely stays hot.',
    turnedPile: 'turned heap',
    staticPile: 'static heap',
    hotPartPile: 'Hot part of the heap: {title}',
    thisNeedsFullCheckWith:
      'This needs a full check with the depth of at least one point, an air temperature, the shape of the heap, and the depth of its core.',
  },
  bench: {
    typeMetersAsNumberOr: 'Type metres as a number, or leave it empty.',
    typeMillimetersAsNumberOr: 'Type millimetres as a number, or leave it empty.',
    liters: 'litres',
    waterToAddLiters: 'Water to add, litres',
    typeWaterAsLitersOr: 'Type the water as litres, or leave it empty.',
  },
  build: {
    typeLitersWaterAsNumber: 'Type the litres of water as a number, or leave them empty.',
    litersClean: 'litres, clean',
    typeLitersAsNumberOr: 'Type litres as a number, or leave it empty.',
  },
  controls: {
    liters: 'litres',
  },
  day: {
    typeLitersAsNumberOr: 'Type litres as a number, or leave it empty.',
  },
  entry: {
    typeWhereStartsEndsIn:
      'Type where it starts and ends, in metres from the start of the windrow.',
  },
  fire: {
    allowedSizeSpacingPilesCheck:
      '{law} Allowed size and spacing of heaps: check with your local authority and the fire service.',
  },
  instruments: {
    putBothIntoWarmWater: 'Put both into warm water or the heap, and wait until both are steady.',
    metersAboveSeaLevel430: 'Metres above sea level, −430 to 6000.',
    typeMetersAsNumber: 'Type metres as a number.',
  },
  log: {
    noMold: 'no mould',
    colorAsBuilt: 'colour as built',
    grayAshy: 'grey, ashy',
    mold: '{growth} mould',
    halfTrailerFromNeighbor: 'half a trailer from the neighbour',
    typeEachAsNumberAbove: 'Type each as a number above 0, in metres.',
    belowAboutOneCubicMeter: ' Below about one cubic metre a heap rarely stays hot.',
    typeLitersAsNumberOr: 'Type litres as a number, or leave it empty.',
    typeLitersMinutesPeopleAs: 'Type litres, minutes and people as numbers, or leave them empty.',
    tapRainBarrelWithLid: 'tap, water butt with a lid',
  },
  map: {
    typeSizeMapInMeters: 'Type the size of the map in metres.',
    everyPlaceNeedsMetersAs: 'Every place needs its metres as numbers above 0.',
    addYourBaysBinsWindrows:
      'Add your bays, bins and windrows, drag them to where they are, and type their metres. A batch belongs to a place by its name: a batch in bay 5 is in the bay called 5.',
    pressPlaceTypeMetersName: 'Press a place to type its metres and name.',
  },
  mix: {
    giveVolumeBucketInLiters: 'Give the volume of the bucket in litres.',
    thatWouldKgMHeavier:
      'That would be {density, number} kg/m³, heavier than stone. Check the litres and the kilograms.',
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
    typeMetersAsNumberOr: 'Type metres as a number, or leave it empty.',
    typeWhereStartsEndsAlong: 'Type where it starts and ends along the windrow, in metres.',
    leaveEmptyIfYouDo:
      'Leave empty if you do not know. Below about one cubic metre a heap rarely stays hot.',
    pile: 'Heap',
    leaveEmptyIfYouDo2:
      'Leave empty if you do not know: the hot share of the heap then stays unknown',
    windrowBinOrPile: 'windrow, bin or heap',
    yardAndCropWaste: 'Garden and crop waste',
  },
  places: {
    aDepthInMetersSuch: 'A depth in metres, such as 0.6',
    metersAlongTheWindrow: 'Metres along the windrow',
    depthInMeters: '{id}, depth in metres',
    metersAlongTheWindrow2: '{id}, metres along the windrow',
    meters1100ForStretch: 'Metres: 1 to 100 for a stretch, 0 to 10 from a border.',
  },
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
    typeBucketsLitersWhatWeighs: 'Type the bucket’s litres, and what it weighs empty and full.',
    eachMeasureNeedsLitersAs: 'Each measure needs its litres as a number.',
    filledLevelEarlierEntriesStay:
      'Filled level. Earlier entries stay with the litres of that time. A bucket on the scales tells you: fill it with water, a kilogram is a litre.',
    measureLiters: 'Measure {i, number}, litres',
    doesNeedAgingOrDrying: 'Does it need ageing or drying first?',
    seedsCertificateCostAgingPhotos: 'Seeds, certificate, cost, ageing, photos, note',
  },
  terms: {
    litersMustNumber0Or:
      'litres must be a number of 0 or more, and no more than a lorry holds (60,000 L for a measure)',
    moreThan100TIn: 'more than 100 t in one load: a lorry carries about 25 t. Is the unit right?',
    typeMetersAsNumberAbove: 'type metres as a number above 0',
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
      'It borders on {neighbours}: stay {keepM, number} m from the marker, or you read the neighbour’s heat too.',
    isMFromReadsNeighbors:
      '{place} is {distanceM, number} m from {neighbour}: it reads the neighbour’s heat too. Stay further from the marker.',
    colderThanAnyPileWrong: '{says}, colder than any heap. Wrong unit, or a faulty thermometer?',
    colderThanAirAtProbe: '{says}, colder than the air at {against}. Is the probe in the heap?',
    doNotOpenAirFeeds: 'Do not open it: air feeds a smouldering fire.',
  },
  units: {
    litersUnit: 'litres',
  },
};
