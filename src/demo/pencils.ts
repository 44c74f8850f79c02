/** A demo pencil: code, name and declared masstone; opacity where it differs from its type's usual. */
type Entry = readonly [code: string, name: string, colour: string, opacity?: number];

/** A demo set from an invented maker. */
export interface DemoSet {
  name: string;
  /** Id of a pencil type. */
  type: string;
  pencils: readonly Entry[];
}

/** Wax, covering and creamy. */
const quaysideSoft: DemoSet = {
  name: 'Quayside Soft',
  type: 'wax',
  pencils: [
    ['QS01', 'gull white', '#f6f4ee', 0.85],
    ['QS02', 'tallow', '#f3e7b9', 0.7],
    ['QS03', 'primrose slip', '#f5dd55'],
    ['QS04', 'lamp oil', '#f2c21d'],
    ['QS05', 'yolk', '#eda715'],
    ['QS06', 'paper lantern', '#ec861c'],
    ['QS07', 'ember', '#df6320'],
    ['QS08', 'apricot sky', '#f4b98a', 0.7],
    ['QS09', 'boiled crab', '#e07557'],
    ['QS10', 'buoy orange', '#d8481f'],
    ['QS11', 'sail red', '#c22b22'],
    ['QS12', 'lifeboat', '#a91d2a'],
    ['QS13', 'dark cherry', '#7a1728'],
    ['QS14', 'shell pink', '#f2c6c0', 0.7],
    ['QS15', 'sea thrift', '#dd7f9e'],
    ['QS16', 'regatta rose', '#c8386f'],
    ['QS17', 'sloe flower', '#b573ad'],
    ['QS18', 'heather bank', '#8a4f98'],
    ['QS19', 'evening violet', '#5b3a86'],
    ['QS20', 'mulled plum', '#4a2148'],
    ['QS21', 'haze', '#cfd0e8', 0.7],
    ['QS22', 'sea lavender', '#9a97cf'],
    ['QS23', 'night ferry', '#3a3b86'],
    ['QS24', 'deep channel', '#22315f'],
    ['QS25', 'dusk', '#4f6bb0'],
    ['QS26', 'ink harbour', '#1f4e96'],
    ['QS27', 'pale tide', '#b5d4ea', 0.7],
    ['QS28', 'clear noon', '#5ba4d6'],
    ['QS29', 'kingfisher', '#1684b5'],
    ['QS30', 'shallows', '#8fcdd0', 0.65],
    ['QS31', 'verdigris', '#2f9a9a'],
    ['QS32', 'cold deep', '#13595f'],
    ['QS33', 'samphire', '#78b06a'],
    ['QS34', 'eelgrass', '#2f8c53'],
    ['QS35', 'net green', '#1e5c3e'],
    ['QS36', 'young reed', '#c6d25d'],
    ['QS37', 'reed bed', '#8fa53a'],
    ['QS38', 'moss post', '#5d6d2a'],
    ['QS39', 'bladderwrack', '#454a22'],
    ['QS40', 'sand spit', '#e4cfa2', 0.7],
    ['QS41', 'mussel ochre', '#c6913a'],
    ['QS42', 'wet rope', '#a67a45'],
    ['QS43', 'rust buoy', '#a5512a'],
    ['QS44', 'brick kiln', '#8b3d2b'],
    ['QS45', 'creosote', '#5e3a26'],
    ['QS46', 'peat', '#3d2a22'],
    ['QS47', 'oyster', '#d3cfc6', 0.75],
    ['QS48', 'mudflat', '#9c9284'],
    ['QS49', 'driftwood', '#71685f'],
    ['QS50', 'rain cloud', '#a9b2ba'],
    ['QS51', 'slate roof', '#6a7681'],
    ['QS52', 'storm', '#414b57'],
    ['QS53', 'tar', '#1f1d1e', 0.8],
  ],
};

/** Oil, translucent, with a hard point. */
const fenlandOil: DemoSet = {
  name: 'Fenland Oil',
  type: 'oil',
  pencils: [
    ['F-101', 'chalk stream', '#f3f1ea', 0.3],
    ['F-102', 'whey', '#f4e98f'],
    ['F-104', 'marsh marigold', '#f4cb12'],
    ['F-107', 'reed gold', '#d7a021'],
    ['F-109', 'bittern', '#b8792a'],
    ['F-112', 'rowan', '#e0561f'],
    ['F-115', 'poppy drain', '#cf2a28'],
    ['F-117', 'peat red', '#8e2a23'],
    ['F-118', 'dog rose', '#e8a0a8'],
    ['F-121', 'ragged robin', '#c43d85'],
    ['F-124', 'marsh orchid', '#8d3f94'],
    ['F-126', 'bilberry', '#43306f'],
    ['F-129', 'far shore', '#8ea3cf'],
    ['F-131', 'fen sky', '#4c86c6'],
    ['F-133', 'dragonfly', '#1c56a8'],
    ['F-135', 'midnight dyke', '#172a55'],
    ['F-138', 'teal wing', '#177f8c'],
    ['F-140', 'duckweed', '#6fb43f'],
    ['F-142', 'alder leaf', '#2c7f45'],
    ['F-144', 'carr wood', '#1d4d33'],
    ['F-147', 'sedge', '#9a9a3c'],
    ['F-150', 'clay lump', '#c19a78'],
    ['F-152', 'bog oak', '#4c372b'],
    ['F-154', 'turf', '#6f4a30'],
    ['F-157', 'heron', '#8a949c'],
    ['F-159', 'wet slate', '#4f5b66'],
    ['F-160', 'pitch', '#1b1c20'],
  ],
};

/** The demo sets that the demo tray holds. */
export const demoSets: readonly DemoSet[] = [quaysideSoft, fenlandOil];

/** Codes of demo pencils that are not lying in the tray as new. */
export const demoWhereabouts: Readonly<Record<string, 'stub' | 'missing'>> = {
  QS04: 'stub',
  QS24: 'stub',
  QS41: 'stub',
  QS16: 'missing',
  'F-121': 'missing',
};

/** What the tray's owner calls some of them. */
export const demoOwnNames: Readonly<Record<string, string>> = { QS06: 'the good orange', 'F-157': 'kettle grey' };
