export interface Node {
  name: string;
  port: number;
  pid: number;
}

export function startCluster(folder: string): Promise<{
  nodes: Node[];
  url: string;
  urlOf: (node: Node) => string;
  kill: (node: Node) => void;
  bringBack: (node: Node) => Promise<void>;
  stop: () => Promise<void>;
}>;
