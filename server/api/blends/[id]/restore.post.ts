export default blendRoutes.restore()
