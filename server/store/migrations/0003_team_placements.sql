CREATE TABLE `placements` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL,
	`created` text NOT NULL
);
--> statement-breakpoint
-- Sizes in the history are whole sizes, not only their names.
UPDATE `edits` SET `edit` = json_set(
	`edit`,
	'$.to', json((SELECT json_group_array(json_object('placement', value, 'changes', json('{}'))) FROM json_each(`edit`, '$.to'))),
	'$.was', json((SELECT json_group_array(json_object('placement', value, 'changes', json('{}'))) FROM json_each(`edit`, '$.was')))
) WHERE json_extract(`edit`, '$.kind') = 'sizes';
