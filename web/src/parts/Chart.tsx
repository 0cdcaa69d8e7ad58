import { Box } from '@chakra-ui/react';
import * as echarts from 'echarts/core';
import { BarChart } from 'echarts/charts';
import { GridComponent, LegendComponent, TooltipComponent } from 'echarts/components';
import { SVGRenderer } from 'echarts/renderers';
import type { EChartsCoreOption } from 'echarts/core';
import { useEffect, useRef } from 'react';

echarts.use([BarChart, GridComponent, LegendComponent, TooltipComponent, SVGRenderer]);

/** A chart that fills its width; what it says is told in words as well, for whoever does not see it. */
export const Chart = ({
  option,
  height,
  label,
}: {
  readonly option: EChartsCoreOption;
  readonly height: number;
  readonly label: string;
}) => {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!box.current) return;
    const chart = echarts.init(box.current, undefined, { renderer: 'svg' });
    chart.setOption({ animation: false, ...option });
    const watch = new ResizeObserver(() => chart.resize());
    watch.observe(box.current);
    return () => {
      watch.disconnect();
      chart.dispose();
    };
  }, [option]);
  return <Box ref={box} height={`${height}px`} width="100%" role="img" aria-label={label} />;
};
