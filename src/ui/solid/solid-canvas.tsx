'use client'
import { Canvas, useFrame, useThree } from '@react-three/fiber'
import { type RefObject, useEffect, useMemo, useRef } from 'react'
import { EdgesGeometry, type Group, type OrthographicCamera } from 'three'
import { piecesMesh, type SolidPart } from '@/core/drawing'
import { solidGeometry } from './solid-geometry'

/** How it is turned, rad. */
export interface Turn {
  yaw: number
  pitch: number
}

interface SolidCanvasProps {
  readonly parts: readonly SolidPart[]
  readonly formed: number
  readonly colour: { readonly face: string; readonly edge: string }
  /** Read at every frame; the canvas is redrawn when `redraw` is called. */
  readonly turn: RefObject<Turn>
  readonly turning: boolean
  readonly onReady: (redraw: () => void) => void
}

/** Half the frame is kept free round the piece. */
const ROOM = 0.84
/** Faces that meet at more than this have their edge drawn. */
const EDGE_DEG = 30

function Piece({ parts, formed, colour, turn, onReady }: Omit<SolidCanvasProps, 'turning'>) {
  const group = useRef<Group>(null)
  const invalidate = useThree((state) => state.invalidate)
  const size = useThree((state) => state.size)
  const camera = useThree((state) => state.camera) as OrthographicCamera
  const { geometry, radiusMm } = useMemo(() => solidGeometry(piecesMesh(parts, formed)), [parts, formed])
  useEffect(() => () => geometry.dispose(), [geometry])
  useEffect(() => onReady(invalidate), [onReady, invalidate])
  useEffect(() => {
    camera.zoom = (ROOM * Math.min(size.width, size.height)) / (2 * radiusMm)
    camera.near = -20 * radiusMm
    camera.far = 20 * radiusMm
    camera.updateProjectionMatrix()
    invalidate()
  }, [camera, size, radiusMm, invalidate])
  // plates, domes and cones are made lying down; strips and wires stand on their edge already
  const standing = parts[0]?.solid.kind !== 'swept'
  useFrame(() => {
    group.current?.rotation.set(turn.current.pitch, turn.current.yaw, 0)
  })
  const edges = useMemo(() => new EdgesGeometry(geometry, EDGE_DEG), [geometry])
  useEffect(() => () => edges.dispose(), [edges])
  return (
    <group ref={group}>
      <group rotation={standing ? [-Math.PI / 2, 0, 0] : [0, 0, 0]}>
        <mesh geometry={geometry}>
          <meshLambertMaterial color={colour.face} />
        </mesh>
        <lineSegments geometry={edges}>
          <lineBasicMaterial color={colour.edge} />
        </lineSegments>
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
