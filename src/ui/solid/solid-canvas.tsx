'use client'
import { Canvas, useFrame, useThree } from '@react-three/fiber'
import { type RefObject, useEffect, useMemo, useRef } from 'react'
import { type BufferGeometry, EdgesGeometry, type Group, type OrthographicCamera } from 'three'
import type { Mesh } from '@/core/drawing'
import { solidGeometries } from './solid-geometry'

/** How it is turned, rad. */
export interface Turn {
  yaw: number
  pitch: number
}

/** A surface in the colour of its metal. */
export interface ColouredBody {
  readonly mesh: Mesh
  readonly colour: { readonly face: string; readonly edge: string }
}

interface SolidCanvasProps {
  readonly bodies: readonly ColouredBody[]
  /** Plates, domes and cones are made lying down; strips and wires stand on their edge already. */
  readonly isStanding: boolean
  /** Read at every frame; the canvas is redrawn when `redraw` is called. */
  readonly turn: RefObject<Turn>
  readonly turning: boolean
  readonly onReady: (redraw: () => void) => void
}

/** Half the frame is kept free round the piece. */
const ROOM = 0.84
/** Faces that meet at more than this have their edge drawn. */
const EDGE_DEG = 30

function Body({ geometry, colour }: { readonly geometry: BufferGeometry } & Pick<ColouredBody, 'colour'>) {
  const edges = useMemo(() => new EdgesGeometry(geometry, EDGE_DEG), [geometry])
  useEffect(() => () => edges.dispose(), [edges])
  return (
    <>
      <mesh geometry={geometry}>
        <meshLambertMaterial color={colour.face} />
      </mesh>
      <lineSegments geometry={edges}>
        <lineBasicMaterial color={colour.edge} />
      </lineSegments>
    </>
  )
}

function Piece({ bodies, isStanding, turn, onReady }: Omit<SolidCanvasProps, 'turning'>) {
  const group = useRef<Group>(null)
  const invalidate = useThree((state) => state.invalidate)
  const size = useThree((state) => state.size)
  const camera = useThree((state) => state.camera) as OrthographicCamera
  const { geometries, radiusMm } = useMemo(() => solidGeometries(bodies.map(({ mesh }) => mesh)), [bodies])
  useEffect(
    () => () => {
      for (const geometry of geometries) geometry.dispose()
    },
    [geometries],
  )
  useEffect(() => onReady(invalidate), [onReady, invalidate])
  useEffect(() => {
    camera.zoom = (ROOM * Math.min(size.width, size.height)) / (2 * radiusMm)
    camera.near = -20 * radiusMm
    camera.far = 20 * radiusMm
    camera.updateProjectionMatrix()
    invalidate()
  }, [camera, size, radiusMm, invalidate])
  useFrame(() => {
    group.current?.rotation.set(turn.current.pitch, turn.current.yaw, 0)
  })
  return (
    <group ref={group}>
      <group rotation={isStanding ? [-Math.PI / 2, 0, 0] : [0, 0, 0]}>
        {geometries.map((geometry, i) => {
          const colour = bodies[i]?.colour
          return colour ? <Body key={geometry.uuid} geometry={geometry} colour={colour} /> : null
        })}
      </group>
    </group>
  )
}

/** The metal itself, drawn only when something moved; coarser while it turns, fine at rest. */
export function SolidCanvas({ turning, ...piece }: SolidCanvasProps) {
  return (
    <Canvas orthographic frameloop="demand" dpr={turning ? 0.5 : 2} gl={{ antialias: false, alpha: true }} camera={{ position: [0, 0, 1] }}>
      <ambientLight intensity={0.9} />
      <directionalLight position={[-2, 4, 3]} intensity={1.7} />
      <directionalLight position={[4, 0, 2]} intensity={0.35} />
      <Piece {...piece} />
    </Canvas>
  )
}
