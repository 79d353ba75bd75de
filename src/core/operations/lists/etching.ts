import { etch } from '../etching/etch'
import { rubPaper } from '../etching/rub-paper'
import { sealEdges } from '../etching/seal-edges'
import { stripResist } from '../etching/strip-resist'
import { tapeBack } from '../etching/tape-back'
import { touchUpResist } from '../etching/touch-up-resist'
import { transferResist } from '../etching/transfer-resist'
import { untape } from '../etching/untape'

export const ETCHING = [etch, rubPaper, sealEdges, stripResist, tapeBack, touchUpResist, transferResist, untape] as const
