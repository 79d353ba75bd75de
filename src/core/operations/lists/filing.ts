import { chamfer } from '../filing/chamfer'
import { cleanFile } from '../filing/clean-file'
import { cleanSeam } from '../filing/clean-seam'
import { deburr } from '../filing/deburr'
import { file } from '../filing/file'
import { peelFilm } from '../filing/peel-film'
import { sand } from '../filing/sand'
import { sandFlat } from '../filing/sand-flat'
import { smoothEnds } from '../filing/smooth-ends'
import { squareEnds } from '../filing/square-ends'

export const FILING = [chamfer, cleanFile, cleanSeam, deburr, file, peelFilm, sandFlat, sand, smoothEnds, squareEnds] as const
