export { type Confidence, SOURCES, type Source, type SourceId } from './sources'
