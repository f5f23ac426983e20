<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Devices\Post;
use App\Devices\Probe;
use App\Devices\Shelf;
use App\Http\IfMatch;
use App\Http\Requests\DevicePostRequest;
use App\Http\Requests\DeviceRequest;
use App\Http\Resources\DeviceResource;
use App\Models\Device;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** Thermometers: the cook keeps them and says where their probes are, they send what they read. */
final class DeviceController
{
    use AsksItsCook;

    public function index(Request $request): JsonResponse
    {
        $cook = self::cook($request);

        return new JsonResponse(DeviceResource::collection($cook->devices()->orderBy('name')->get()));
    }

    /** With its token, which is shown this once and kept nowhere. */
    public function store(DeviceRequest $request): JsonResponse
    {
        $cook = self::cook($request);
        $device = Shelf::add($cook, $request->name(), $request->roast(), $request->probes());

        return new JsonResponse(['device' => (new DeviceResource($device))->toArray($request), 'token' => Shelf::token($device)], 201);
    }

    public function update(DeviceRequest $request, Device $device): JsonResponse
    {
        return DB::transaction(function () use ($request, $device): JsonResponse {
            $row = $device->held();
            IfMatch::insist($request, $row->edition(), fn (): array => [
                'name' => $row->name, 'roast' => $row->roast_id, 'probes' => array_map(fn (Probe $probe): array => $probe->toArray(), $row->probes),
            ]);
            Shelf::change($row, $request->name(), $request->roast(), $request->probes());

            return new JsonResponse(new DeviceResource($row));
        });
    }

    /** Another token: the one before opens nothing any more. */
    public function token(Request $request, Device $device): JsonResponse
    {
        return new JsonResponse(['device' => (new DeviceResource($device))->toArray($request), 'token' => Shelf::token($device)]);
    }

    public function destroy(Device $device): Response
    {
        Shelf::remove($device);

        return new Response(status: 204);
    }

    /** To the device itself: what it is for. */
    public function self(Request $request): JsonResponse
    {
        /** @var Device $device */
        $device = $request->user();

        return new JsonResponse(new DeviceResource($device));
    }

    /** From the device itself. */
    public function readings(DevicePostRequest $request): JsonResponse
    {
        return new JsonResponse(
            Post::take($request->device(), $request->readings(), $request->percent('battery'), $request->percent('signal')),
        );
    }
}
