'use client'
import { useState } from 'react'
import { type Region, withFewerPoints } from '@/core/geometry'
import { useAct } from '../acting/act-provider'
import { useNotice } from '../shared/notices'

/** Off so little, an outline takes fewer points to keep, mm. */
const FEWER_MM = 0.01

const points = (outline: readonly (readonly [number, number])[]) =>
  withFewerPoints(outline, FEWER_MM).map(([x, y]): [number, number] => [x, y])

/** Keeps an outline as a template, and says so. */
export function useKeepTemplate() {
  const act = useAct()
  const say = useNotice()
  const [problem, setProblem] = useState('')
  const keep = async ({ name, from, outer, holes }: Region & { readonly name: string; readonly from: string }): Promise<boolean> => {
    const done = await act('keepTemplate', { name, from, outer: points(outer), holes: holes.map(points) })
    setProblem(done.ok ? '' : done.message)
    if (done.ok) say({ text: `${name} is kept under Drawer, Templates.` })
    return done.ok
  }
  return { keep, problem }
}
