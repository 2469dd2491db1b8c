'use client';

import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import { BufferAttribute, BufferGeometry, EdgesGeometry } from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import { type Apart, type PartMesh, type Piece, takenApart } from '@/core';

const WOOD = '#efe4cf';
const TOP = '#e6d3b0';
const LIT = '#c9c5f0';
const METAL = '#9aa5a0';
const INK = '#14201b';

/** The piece as solids, to be turned about; parts stand off from one another by a share of their distance from the middle. */
export default function SolidScene({
  piece,
  meshes,
  apart,
  lit,
  onLight,
}: {
  piece: Piece;
  meshes: readonly PartMesh[];
  apart: Apart;
  lit: readonly string[];
  onLight: (ids: readonly string[]) => void;
}) {
  const { height, length, width } = piece.overall;
  // So far that the ball round the piece fills the view: 1 / sin 15° of its radius; farther where much stands off.
  const far = Math.max(Math.hypot(length, width, height) * 2, FILLS * standsOff(piece, apart));
  return (
    <Canvas
      flat
      frameloop="demand"
      camera={{
        position: [far * 0.5, -far * 0.76, height / 2 + far * 0.42],
        up: [0, 0, 1],
        fov: 30,
        near: 10,
        far: far * 8,
      }}
      onPointerMissed={() => onLight([])}
      fallback={null}
    >
      <ambientLight intensity={1.5} />
      <directionalLight position={[far, -far * 0.6, far * 1.6]} intensity={1.6} />
      <directionalLight position={[-far, far, far * 0.4]} intensity={0.5} />
      {meshes.map((mesh) => (
        <PartSolid
          key={mesh.part}
          piece={piece}
          mesh={mesh}
          apart={apart}
          lit={lit.includes(mesh.part)}
          onLight={onLight}
        />
      ))}
      <Turning height={height} />
    </Canvas>
  );
}

/** Of the ball round all parts, as far as the view is wider than high. */
const FILLS = 0.75 / Math.sin(Math.PI / 12);

/** How far the farthest part reaches from the middle of the piece as it is taken apart, mm. */
const standsOff = (piece: Piece, apart: Apart): number =>
  Math.max(
    ...piece.parts.map((part) => {
      const [x, y, z] = part.frame.at.map((at, i) => at + (takenApart(piece, part, apart)[i] ?? 0));
      const { length, width, thickness } = part.size;
      return Math.hypot(x ?? 0, y ?? 0, (z ?? 0) - piece.overall.height / 2) + Math.hypot(length, width, thickness) / 2;
    }),
  );

function PartSolid({
  piece,
  mesh,
  apart,
  lit,
  onLight,
}: {
  piece: Piece;
  mesh: PartMesh;
  apart: Apart;
  lit: boolean;
  onLight: (ids: readonly string[]) => void;
}) {
  const { solid, lines } = useMemo(() => {
    const shared = new BufferGeometry();
    shared.setAttribute('position', new BufferAttribute(mesh.positions, 3));
    shared.setIndex(new BufferAttribute(mesh.indices, 1));
    const flat = shared.toNonIndexed();
    flat.computeVertexNormals();
    return { solid: flat, lines: new EdgesGeometry(shared, 14) };
  }, [mesh]);
  useEffect(
    () => () => {
      solid.dispose();
      lines.dispose();
    },
    [solid, lines],
  );
  const part = piece.parts.find((own) => own.id === mesh.part);
  if (!part) return null;
  const top = piece.over.includes(part.id);
  return (
    <group position={[...takenApart(piece, part, apart)]}>
      <mesh
        geometry={solid}
        onPointerOver={(event) => {
          event.stopPropagation();
          onLight([part.id]);
        }}
        onPointerOut={() => onLight([])}
      >
        <meshLambertMaterial
          color={lit ? LIT : part.material ? METAL : top ? TOP : WOOD}
          polygonOffset
          polygonOffsetFactor={1}
          polygonOffsetUnits={1}
        />
      </mesh>
      <lineSegments geometry={lines}>
        <lineBasicMaterial color={INK} />
      </lineSegments>
    </group>
  );
}

/** Turned with the mouse or a finger about the middle of the piece. */
function Turning({ height }: { height: number }) {
  const { camera, gl, invalidate } = useThree();
  useEffect(() => {
    const controls = new OrbitControls(camera, gl.domElement);
    controls.target.set(0, 0, height / 2);
    controls.update();
    controls.addEventListener('change', () => invalidate());
    return () => controls.dispose();
  }, [camera, gl, height, invalidate]);
  return null;
}
