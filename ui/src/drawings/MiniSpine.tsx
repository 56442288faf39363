import { useTheme } from "styled-components";
import type { Job } from "../server/api";
import { stageNames } from "../words/stages";

const WIDEST_GAP = 30;
const LINE = 128;
const RADIUS = 7;

/** The job's line lying down: filled as far as the work has come. */
export function MiniSpine({ stages, stopped }: { stages: Job["stages"]; stopped: boolean }) {
  const theme = useTheme();
  const gap = Math.min(WIDEST_GAP, LINE / Math.max(1, stages.length - 1));
  const width = gap * (stages.length - 1) + RADIUS * 2 + 6;
  const done = stages.filter((stage) => stage.status === "done").length;
  const x = (index: number) => RADIUS + 3 + index * gap;
  const said = stages.map((stage) => `${stageNames[stage.id]} ${stage.status}`).join(", ");
  return (
    <svg width={width} height={24} viewBox={`0 0 ${width} 24`} role="img" aria-label={said}>
      <path d={`M${x(0)} 12H${x(stages.length - 1)}`} stroke={theme.tube} strokeWidth="7" />
      <path d={`M${x(0)} 12H${x(stages.length - 1)}`} stroke={theme.panel} strokeWidth="4" />
      {done > 0 ? (
        <path
          d={`M${x(0)} 12H${x(Math.min(done, stages.length - 1))}`}
          stroke={theme.fresh}
          strokeWidth="4"
        />
      ) : null}
      {stages.map((stage, index) => (
        <circle
          key={stage.id}
          cx={x(index)}
          cy={12}
          r={stage.status === "current" ? RADIUS + 1 : RADIUS}
          fill={stage.status === "done" ? theme.fresh : theme.panel}
          stroke={stage.status === "current" ? (stopped ? theme.stop : theme.ink) : theme.tube}
          strokeWidth={stage.status === "current" ? 4 : 2.5}
        />
      ))}
    </svg>
  );
}
