export { type FilmColours, type FilmKind, filmColours, type Swatch } from './film-colours'
