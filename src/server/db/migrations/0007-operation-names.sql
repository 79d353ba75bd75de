-- Pressing in a die is known by the name it has among the other operations. Steps of a tray keep their own names, which entries hold.
UPDATE tray_steps SET content_json = json_set(content_json, '$.op', 'press-die') WHERE content_json ->> '$.op' = 'press';
