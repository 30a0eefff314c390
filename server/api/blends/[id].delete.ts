export default blendRoutes.remove()
