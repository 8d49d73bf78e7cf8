export const enGlossary = {
  pfrp: 'PFRP',
  pfrpIs:
    'Process to further reduce pathogens: heat, time and turnings after which 40 CFR 503 takes pathogens to be very few. For a turned windrow 55 °C for 15 days with 5 turnings, in-vessel or aerated static 55 °C for 3 days.',
  psrp: 'PSRP',
  psrpIs:
    'Process to significantly reduce pathogens: a lower step than PFRP, 40 °C for 5 days with 4 hours above 55 °C.',
  cn: 'C:N',
  cnIs: 'Carbon to nitrogen, by weight. 25 to 30 parts of carbon to one of nitrogen heat best; less smells of ammonia, more stays cold.',
  moisture: 'Moisture content',
  moistureIs: 'The share of water in the wet weight. 50 to 60 % feels like a wrung-out sponge.',
  density: 'Bulk density',
  densityIs:
    'What a volume weighs as it lies, air and water included. Too heavy means too little air.',
  airspace: 'Air space',
  airspaceIs: 'The share of a pile that is air between the pieces. Under about 30 % it goes sour.',
  windrow: 'Windrow',
  windrowIs: 'A long pile with sloping sides, turned along its length.',
  invessel: 'In-vessel',
  invesselIs: 'Composting in a closed drum, tub or container, mixed or aerated inside.',
  aerated: 'Aerated static pile',
  aeratedIs: 'A pile that is not turned: air is blown or drawn through it from below.',
  feedstock: 'Feedstock',
  feedstockIs: 'Any raw material that goes into a batch.',
  batch: 'Batch',
  batchIs: 'One body of compost with one history and one record.',
  check: 'Temperature check',
  checkIs:
    'Readings at several points of a batch within about an hour. It is judged by its coldest point unless the site says otherwise.',
  coldest: 'Coldest point',
  coldestIs: 'The lowest reading of a check. If even that is hot enough, the whole batch was.',
  counted: 'Counted time',
  countedIs:
    'Hours that count toward a rule: between two hot checks that are not too far apart, since the last raw material went in.',
  startsover: 'Starts over',
  startsoverIs:
    'The counted time is lost, because a check was too cold or something raw was added. What was lost and why stands beside it.',
  paused: 'Paused',
  pausedIs:
    'After a full turn a batch may be cooler for a while. Its time stands still until it is hot again or the grace runs out.',
  fullturn: 'Full turn',
  fullturnIs:
    'Everything is moved: the edge goes inside, the top goes down. Only a full turn counts for a rule.',
  squeeze: 'Squeeze test',
  squeezeIs:
    'Squeeze a handful from inside. Crumbles: too dry. Holds with no drops or a drop or two: good. Runs: too wet.',
  curing: 'Curing',
  curingIs: 'The quiet weeks after the heat, in which compost becomes mature.',
  screening: 'Screening',
  screeningIs: 'Sieving finished compost. What passes is the product.',
  overs: 'Overs',
  oversIs: 'What a screen holds back: woody pieces that go into the next batch.',
  leachate: 'Leachate',
  leachateIs:
    'Liquid that runs out of a pile. It is raw: keep it off finished compost and out of drains.',
  offset: 'Offset',
  offsetIs:
    'How far a thermometer reads off a reference, such as ice water. Readings are corrected by it.',
  settling: 'Settling time',
  settlingIs: 'How long a thermometer takes until it stands still.',
  quality: 'Data quality',
  qualityIs:
    'Strong, fair or weak: how many points were read, how often, how deep, and with which checked thermometers.',
} as const;
