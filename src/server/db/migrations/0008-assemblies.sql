-- A piece is of parts, others and joints, and so is the plan a tray was frozen with; what that asks of the stored designs and plans is in
-- upgrades/0008-assemblies.ts. Nothing of the tables themselves changes.
SELECT 1;
