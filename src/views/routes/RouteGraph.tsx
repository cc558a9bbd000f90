import ButtonBase from '@mui/material/ButtonBase';
import { useRef, useState } from 'react';
import { routeKey } from '../../core/routes';
import type { Route } from '../../core/routes';
import type { AdGroup } from '../../core/structure';
import { centre, linkPath, MIDDLE, NODE } from './layout';

export interface GraphLink {
  route: Route;
  isProposed: boolean;
}

interface RouteGraphProps {
  sources: AdGroup[];
  homes: AdGroup[];
  nameOf: (adGroup: AdGroup) => string;
  links: GraphLink[];
  selected: string | null;
  onSelect: (link: GraphLink) => void;
  /** A source was drawn to a home. */
  onLink: (sourceId: number, homeId: number) => void;
}

/** Ad groups that look for terms on the left, homes on the right, and the routes between them; a line is drawn by dragging, or by two keys. */
export function RouteGraph({ sources, homes, nameOf, links, selected, onSelect, onLink }: RouteGraphProps) {
  const frame = useRef<HTMLDivElement>(null);
  // The source that a line is being drawn from, and where its loose end is.
  const [drawn, setDrawn] = useState<{ sourceId: number; x: number; y: number } | null>(null);
  const [picked, setPicked] = useState<number | null>(null);
  const rowOf = (list: AdGroup[], id: number) => list.findIndex((one) => one.id === id);
  const place = (event: React.PointerEvent) => {
    const bounds = frame.current!.getBoundingClientRect();
    return { x: event.clientX - bounds.left, y: event.clientY - bounds.top };
  };
  const drop = (event: React.PointerEvent) => {
    if (!drawn) return;
    const element = document.elementFromPoint(event.clientX, event.clientY)?.closest('[data-home]');
    const homeId = Number(element?.getAttribute('data-home'));
    if (homeId > 0) onLink(drawn.sourceId, homeId);
    setDrawn(null);
  };
  const columnWidth = `calc((100% - ${MIDDLE}px) / 2)`;
  const left = frame.current ? (frame.current.clientWidth - MIDDLE) / 2 : 0;
  return (
    <div
      ref={frame}
      className="routeGraph"
      style={{ gridTemplateColumns: `${columnWidth} ${MIDDLE}px ${columnWidth}` }}
      onPointerMove={(event) => drawn && setDrawn({ ...drawn, ...place(event) })}
      onPointerUp={drop}
    >
      <div role="group" aria-label="Looks for terms">
        {sources.map((one) => (
          <ButtonBase
            key={one.id}
            className="routeNode"
            aria-pressed={picked === one.id}
            title="Drag to a home, or press and then press a home"
            onPointerDown={(event) => setDrawn({ sourceId: one.id, ...place(event) })}
            onClick={() => setPicked(picked === one.id ? null : one.id)}
          >
            {nameOf(one)}
          </ButtonBase>
        ))}
      </div>
      <svg
        width={MIDDLE}
        height={Math.max(sources.length, homes.length) * NODE}
        role="group"
        aria-label="Routes"
        className="routeLines"
      >
        {links.map((link) => {
          const { route, isProposed } = link;
          const [from, to] = [rowOf(sources, route.sourceId), rowOf(homes, route.homeId)];
          if (from < 0 || to < 0) return null;
          const isSelected = selected === routeKey(route);
          const path = linkPath(from, to);
          return (
            <g
              key={routeKey(route)}
              role="button"
              tabIndex={0}
              aria-label={`${nameOf(sources[from])}, ${route.takes}, to ${nameOf(homes[to])}${isProposed ? ', proposed' : ''}`}
              aria-pressed={isSelected}
              className="routeLink"
              onClick={() => onSelect(link)}
              onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') {
                  event.preventDefault();
                  onSelect(link);
                }
              }}
            >
              <path d={path} fill="none" stroke="transparent" strokeWidth={12} />
              <path
                d={path}
                fill="none"
                stroke={route.takes === 'items' ? 'var(--under)' : 'var(--ink)'}
                strokeWidth={isSelected ? 3 : 1.4}
                strokeDasharray={isProposed ? '5 4' : undefined}
                opacity={isProposed && !isSelected ? 0.55 : 1}
              />
              <text
                x={6}
                y={centre(from) + (route.takes === 'items' ? 13 : -4)}
                fontSize={11}
                fill="var(--faint)"
                className="routeWords"
              >
                {route.takes}
                {route.takes === 'words' && `, ${route.match}`}
                {route.asks && `, from ${route.asks.orders} ${route.asks.orders === 1 ? 'order' : 'orders'}`}
              </text>
            </g>
          );
        })}
        {drawn && (
          <line
            x1={0}
            y1={centre(rowOf(sources, drawn.sourceId))}
            x2={drawn.x - left}
            y2={drawn.y}
            stroke="var(--accent)"
            strokeWidth={2}
            pointerEvents="none"
          />
        )}
      </svg>
      <div role="group" aria-label="Homes">
        {homes.map((one) => (
          <ButtonBase
            key={one.id}
            className="routeNode"
            data-home={one.id}
            onClick={() => {
              if (picked === null) return;
              onLink(picked, one.id);
              setPicked(null);
            }}
          >
            {nameOf(one)}
          </ButtonBase>
        ))}
      </div>
    </div>
  );
}
