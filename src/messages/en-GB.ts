import type { Overrides } from './say';

/** What British English says otherwise than American English, and nothing else. */
export const enGB: Overrides = {
  day: {
    typeLitresAsANumberOrLeave: 'Type litres as a number, or leave it empty.',
  },
  advice: {
    on2: 'on {day, number} {month}',
    openingAHotStackFeedsAirTo:
      'Opening a hot stack lets air into a smouldering fire. Local fire rules on stacks come first.',
    aHeapThatIsTooHotDoes: 'A heap that is too hot cannot wait.',
    splitItInTwoSmallerHeaps: 'Split it into two smaller heaps',
    doNotOpenItAirFeedsA: 'Do not open it: air feeds a smouldering fire',
    growth: '{growth} mould {at}',
    underACubicMetre: 'under a cubic metre',
  },
  terms: {
    litresMustBeANumberThatIs:
      'litres must be a number of 0 or more, and no more than a lorry holds (60,000 L for a measure)',
    moreThan100TInOneLoad:
      'more than 100 t in one load: a lorry carries about 25 t. Is the unit right?',
    typeMetresAsANumberAbove0: 'type metres as a number above 0',
    heap: 'Heap',
    keepPeopleBackAndDoNotOpen:
      'Keep people back and do not open it without looking: air feeds a smouldering fire. If you see smoke or smell burning, call the fire service.',
    aBurntSmellCanMeanASmoulder:
      'A burnt smell can mean a smouldering fire: do not open the heap, keep people back, and call the fire service if there is smoke.',
    splittingLetsAirIntoAVeryHot:
      'Splitting lets air into a very hot heap: have water running, look for smoke first, and work in small portions.',
    seedsRootsAndPlantDiseaseLiveThrough:
      'Seeds, roots and plant disease survive in a heap that does not get hot. Remove seed heads and roots first, or put it into a hot heap instead.',
    onePlaceOnlyAHotMiddleSays:
      'One point only. A hot middle says nothing about the base edge, and one spot says nothing about the whole heap.',
    itBordersOnKeepMFromThe:
      'It borders on {neighbours}: stay {keepM, number} m from the marker, or you read the neighbour’s heat too.',
    liesMFromItReadsTheNeighbours:
      '{place} is {distanceM, number} m from {neighbour}: it reads the neighbour’s heat too. Stay further from the marker.',
    colderThanAnyHeapWrongUnitOr:
      '{says}, colder than any heap. Wrong unit, or a faulty thermometer?',
    colderThanTheAirAtIsThe: '{says}, colder than the air at {against}. Is the probe in the heap?',
    doNotOpenItAirFeedsA: 'Do not open it: air feeds a smouldering fire.',
  },
  batch: {
    underAHeapRarelyStaysHot: 'Below {minhotm3} a heap rarely stays hot.',
    turnedHeap: 'turned heap',
    staticHeap: 'static heap',
    hotPartOfTheHeap: 'Hot part of the heap: {title}',
    itTakesAFullCheckWithThe:
      'This needs a full check with the depth of at least one point, an air temperature, the shape of the heap, and the depth of its core.',
  },
  log: {
    noGrowth: 'no mould',
    colourAsBuilt: 'colour as built',
    greyAshy: 'grey, ashy',
    growth: '{growth} mould',
    halfATrailerFromTheNeighbour: 'half a trailer from the neighbour',
    typeEachAsANumberAboveNought: 'Type each as a number above 0, in metres.',
    underAboutOneCubicMetreAHeap: ' Below about one cubic metre a heap rarely stays hot.',
    typeLitresAsANumberOrLeave: 'Type litres as a number, or leave it empty.',
    typeLitresMinutesAndPeopleAsNumbers:
      'Type litres, minutes and people as numbers, or leave them empty.',
    tapRainButtWithALid: 'tap, water butt with a lid',
  },
  entry: {
    typeWhereItStartsAndEndsIn:
      'Type where it starts and ends, in metres from the start of the windrow.',
  },
  mix: {
    giveTheVolumeOfTheBucketIn: 'Give the volume of the bucket in litres.',
    thatWouldBeKgMHeavierThan:
      'That would be {density, number} kg/m³, heavier than stone. Check the litres and the kilograms.',
    rootsAtTheSkinOfAStatic:
      'roots near the surface of a static heap survive: dry or drown them first',
    theSkinOfAStaticHeapNever: 'the surface of a static heap never gets hot: bury it well inside',
    wetsTheHeap: 'wet the heap',
    ageingInTheStack: 'Ageing in the stack',
    aGoodMixBigEnoughItShould:
      'A good mix. If the heap is big enough, it should be hot within three days.',
    oldHayLitterAndChipAreFull:
      'Old hay, litter and chips are full of mould spores: wet them and wear a mask. People with weak lungs or a weak immune system stay away.',
  },
  round: {
    greyDustyGrowthThrowsSporesDoNot:
      'Grey, dusty mould throws spores: do not breathe it in, and wet it before you turn.',
    colourInside: 'Colour inside',
    noAirReadsIsItTheOther:
      'Air is never {value, number} °{unit}. Is it the other unit, or the heap?',
    greyAshy: 'Grey, ashy',
    whiteGrowth: 'White mould',
    greyGrowth: 'Grey mould',
  },
  places: {
    aDepthInMetresSuchAs0: 'A depth in metres, such as 0.6',
    metresAlongTheRow: 'Metres along the windrow',
    depthInMetres: '{id}, depth in metres',
    metresAlongTheRow2: '{id}, metres along the windrow',
    metres1To100ForAStretch: 'Metres: 1 to 100 for a stretch, 0 to 10 from a border.',
  },
  controls: {
    litres: 'litres',
  },
  bench: {
    typeMetresAsANumberOrLeave: 'Type metres as a number, or leave it empty.',
    typeMillimetresAsANumberOrLeave: 'Type millimetres as a number, or leave it empty.',
    litres: 'litres',
    waterToAddLitres: 'Water to add, litres',
    typeTheWaterAsLitresOrLeave: 'Type the water as litres, or leave it empty.',
  },
  build: {
    typeTheLitresOfWaterAsA: 'Type the litres of water as a number, or leave them empty.',
    litresClean: 'litres, clean',
    typeLitresAsANumberOrLeave: 'Type litres as a number, or leave it empty.',
  },
  map: {
    typeTheSizeOfTheMapIn: 'Type the size of the map in metres.',
    everyPlaceWantsItsMetresAsNumbers: 'Every place needs its metres as numbers above 0.',
    addYourBaysBinsAndRowsDrag:
      'Add your bays, bins and windrows, drag them to where they are, and type their metres. A batch belongs to a place by its name: a batch in bay 5 is in the bay called 5.',
    pressAPlaceToTypeItsMetres: 'Press a place to type its metres and name.',
  },
  open: {
    typeMetresAsANumberOrLeave: 'Type metres as a number, or leave it empty.',
    typeWhereItStartsAndEndsAlong: 'Type where it starts and ends along the windrow, in metres.',
    leaveEmptyIfYouDoNotKnow:
      'Leave empty if you do not know. Below about one cubic metre a heap rarely stays hot.',
    heap: 'Heap',
    leaveEmptyIfYouDoNotKnow2:
      'Leave empty if you do not know: the hot share of the heap then stays unknown',
    rowBinOrHeap: 'windrow, bin or heap',
    gardenAndCropWaste: 'Garden and crop waste',
  },
  store: {
    ripening: 'ageing',
    ripeningReadyFrom: 'ageing, ready from {readyFrom}',
    takeItApartInSmallPortionsWith:
      'Take it apart in small portions, with water at hand. Opening it lets air into a smouldering fire.',
    typeTheBucketsLitresAndWhatIt: 'Type the bucket’s litres, and what it weighs empty and full.',
    eachMeasureWantsItsLitresAsA: 'Each measure needs its litres as a number.',
    filledLevelWhatWasLoggedBeforeKeeps:
      'Filled level. Earlier entries stay with the litres of that time. A bucket on the scales tells you: fill it with water, a kilogram is a litre.',
    measureLitres: 'Measure {i, number}, litres',
    doesItRipenFirst: 'Does it need ageing or drying first?',
    seedsCertificateCostRipeningPhotosNote: 'Seeds, certificate, cost, ageing, photos, note',
  },
  record: {
    turnedHeap: 'turned heap',
    staticHeapAeratedAndNotTurned: 'static heap, aerated and not turned',
    gardenAndCropWaste: 'garden and crop waste',
  },
  instruments: {
    putBothIntoWarmWaterOrThe:
      'Put both into warm water or the heap, and wait until both are steady.',
    metresAboveTheSea430To6000: 'Metres above sea level, −430 to 6000.',
    typeMetresAsANumber: 'Type metres as a number.',
  },
  fire: {
    whichSizeAndSpacingOfHeapsIs:
      '{law} Allowed size and spacing of heaps: check with your local authority and the fire service.',
  },
};
