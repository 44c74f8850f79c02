import { type DemoSet } from './demo-set.ts';

/** Water-soluble: dry like a pencil, wet like a thin paint. */
export const brookWash: DemoSet = {
  idPrefix: '',
  name: 'Brook Wash',
  type: 'water-soluble',
  pencils: [
    ['B-01', 'mill foam', '#f3f2ec', 0.5],
    ['B-02', 'kingcup', '#f3d12f'],
    ['B-03', 'celandine', '#eeb62c'],
    ['B-04', 'mallard bill', '#e08a2c'],
    ['B-05', 'mill brick', '#c4552f'],
    ['B-06', 'meadow rose', '#d65a72'],
    ['B-07', 'dogwood', '#b02b3a'],
    ['B-08', 'fuchsia bank', '#b8427f'],
    ['B-09', 'iris flag', '#7a4a9c'],
    ['B-10', 'twilight ford', '#4b3f8a'],
    ['B-11', 'deep pool', '#233a73'],
    ['B-12', 'ford blue', '#2f6fb3'],
    ['B-13', 'sky ripple', '#7fb4e0'],
    ['B-14', 'trout', '#2c8ba0'],
    ['B-15', 'weir', '#7cc4c0'],
    ['B-16', 'cress bed', '#3f9a60'],
    ['B-17', 'fern', '#2c6a3c'],
    ['B-18', 'willow', '#9ab84a'],
    ['B-19', 'moss stone', '#67702f'],
    ['B-20', 'silt', '#cfb48a'],
    ['B-21', 'clay bank', '#b07a46'],
    ['B-22', 'reed mace', '#6f4a2d'],
    ['B-23', 'slate bed', '#6d7883'],
    ['B-24', 'eel black', '#24262a'],
  ],
};
