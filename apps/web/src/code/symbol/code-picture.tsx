import { addressOf } from '../../platform/api/client.js';
import { routes } from '@hapset/contract';
import { drawingSize, type CodeDrawing, type DrawnShape, type Paint } from '@hapset/core';
import { useId, useMemo, type ReactElement } from 'react';

/** The code in its look, vector, with all that is around it. An empty label is for codes beside their own name: nothing is read aloud. */
export function CodePicture({
  drawing,
  label,
  className = '',
}: {
  readonly drawing: CodeDrawing;
  readonly label: string;
  readonly className?: string;
}): ReactElement {
  const id = useId();
  const { surround, shapes } = drawing;
  const { width, height } = drawingSize(drawing);
  const square = useMemo(() => shapes.every((shape) => shape.kind === 'fill' && !/[alq]/.test(shape.path)), [shapes]);
  return (
    <svg
      viewBox={`${-surround.left} ${-surround.top} ${width} ${height}`}
      className={className}
      {...(label === '' ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
      {...(square && { shapeRendering: 'crispEdges' })}
    >
      {shapes.map((shape, index) => (
        // Shapes have no other name than their place.
        <Shape key={index} shape={shape} gradientId={`${id}-${index}`} />
      ))}
    </svg>
  );
}

function Shape({ shape, gradientId }: { readonly shape: DrawnShape; readonly gradientId: string }): ReactElement {
  switch (shape.kind) {
    case 'fill':
      return (
        <>
          <Gradient paint={shape.paint} id={gradientId} />
          <path d={shape.path} fillRule="evenodd" fill={colourOf(shape.paint, gradientId)} />
        </>
      );
    case 'stroke':
      return (
        <path
          d={shape.path}
          transform={`translate(${shape.at.join(' ')}) scale(${shape.scale})`}
          fill="none"
          stroke={colourOf(shape.paint, gradientId)}
          strokeWidth={shape.width}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      );
    case 'picture':
      return (
        <image
          href={addressOf(routes.lookPicture, { lookPictureId: shape.pictureId })}
          x={shape.x}
          y={shape.y}
          width={shape.width}
          height={shape.height}
        />
      );
    case 'text':
      return (
        <text
          textAnchor="middle"
          fontSize={shape.size}
          fontWeight={700}
          fill={colourOf(shape.paint, gradientId)}
          className="font-text"
        >
          {shape.lines.map((line, index) => (
            <tspan key={index} x={shape.x} y={shape.baselines[index]}>
              {line}
            </tspan>
          ))}
        </text>
      );
  }
}

function Gradient({ paint, id }: { readonly paint: Paint; readonly id: string }): ReactElement | null {
  if (paint.kind === 'colour') return null;
  const stops = paint.colours.map((colour, index) => <stop key={index} offset={index} stopColor={colour} />);
  if (paint.kind === 'radial') {
    return (
      <radialGradient id={id} gradientUnits="userSpaceOnUse" cx={paint.centre[0]} cy={paint.centre[1]} r={paint.radius}>
        {stops}
      </radialGradient>
    );
  }
  return (
    <linearGradient
      id={id}
      gradientUnits="userSpaceOnUse"
      x1={paint.from[0]}
      y1={paint.from[1]}
      x2={paint.to[0]}
      y2={paint.to[1]}
    >
      {stops}
    </linearGradient>
  );
}

function colourOf(paint: Paint, gradientId: string): string {
  return paint.kind === 'colour' ? paint.colour : `url(#${gradientId})`;
}
