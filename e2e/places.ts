export const DEMO = 'http://127.0.0.1:4321'
export const WORKSHOP = 'http://127.0.0.1:4322'

/** Every view of the demonstration, by address. */
export const VIEWS = [
  '/jobs',
  '/pieces/1',
  '/pieces/2',
  '/pieces/3',
  '/pieces/4',
  '/pieces/12/compare',
  '/pieces/15',
  '/pieces/17',
  '/pieces/6/route',
  '/pieces/2/record',
  '/layout/3',
  '/drawer',
  '/drawer/tools',
  '/tables',
  '/tables?q=18',
  '/tables?q=patina',
  '/tables/advice/drill',
  '/tables/advice/solder',
  '/tables/advice/strike',
  '/bench',
  '/bench/2',
  '/bench/5',
  '/book',
  '/settings',
  '/no-such-place',
] as const
