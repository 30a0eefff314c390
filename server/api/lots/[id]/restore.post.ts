export default lotRoutes.restore()
